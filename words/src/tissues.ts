import type { Tissue } from '@hypogeon/core/wound';
import * as say from '@hypogeon/messages/tissues';

/** What was cut through, as it is called. */
export const TISSUE_NAME: Readonly<Record<Tissue, string>> = {
  get 'leaf base'() {
    return say.leafBase();
  },
  get 'semi-woody stem'() {
    return say.semiWoodyStem();
  },
  get 'soft stem'() {
    return say.softStem();
  },
  get 'strap leaf'() {
    return say.strapLeaf();
  },
  get rhizome() {
    return say.rhizome();
  },
  get tuber() {
    return say.tuber();
  },
  get 'cactus body'() {
    return say.cactusBody();
  },
};
