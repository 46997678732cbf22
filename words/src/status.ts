import { STAGE_NAME, type Status } from '@hypogeon/core/bench';
import * as say from '@hypogeon/messages/status';

/** How a batch stands, short: `8 rooted, 15 waiting`, `set, with roots of its own`. */
export function statusText(status: Status): string {
  switch (status.is) {
    case 'to-set':
      return say.toBeSet();
    case 'bare':
      return say.bareNoRootsYet();
    case 'set':
      if (status.ownRoots) return say.setWithRootsOf();
      return status.jar ? say.inTheJarNo() : STAGE_NAME.stuck;
    case 'growing': {
      const { rooted, waiting, jar } = status;
      const has = waiting > 0 ? say.rootedWaiting({ rooted, waiting }) : STAGE_NAME.growing;
      return jar ? say.inTheJar({ has }) : has;
    }
    default:
      return STAGE_NAME[status.is];
  }
}
