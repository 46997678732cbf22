import { STAGE_NAME, type Status } from '@hypogeon/core/bench';

/** How a batch stands, short: `8 rooted, 15 waiting`, `set, with roots of its own`. */
export function statusText(status: Status): string {
  switch (status.is) {
    case 'to-set':
      return 'to be set';
    case 'bare':
      return 'bare, no roots yet';
    case 'set':
      if (status.ownRoots) return 'set, with roots of its own';
      return status.jar ? 'in the jar, no roots yet' : STAGE_NAME.stuck;
    case 'growing': {
      const { rooted, waiting, jar } = status;
      const has = waiting > 0 ? `${rooted} rooted, ${waiting} waiting` : STAGE_NAME.growing;
      return jar ? `in the jar, ${has}` : has;
    }
    default:
      return STAGE_NAME[status.is];
  }
}
