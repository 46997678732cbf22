import { AGAVE_TAXA } from './agave-taxa';
import { ALOE_TAXA } from './aloe-taxa';
import { CACTUS_TAXA } from './cactus-taxa';
import { CRASSULA_TAXA } from './crassula-taxa';
import { FIRST_TAXA } from './first-taxa';
import { MESEMB_TAXA } from './mesemb-taxa';
import { SHRUB_TAXA } from './shrub-taxa';
import type { Taxon } from './taxon';

/** The plants that ship, by name. */
export const CATALOGUE: readonly Taxon[] = [
  ...FIRST_TAXA,
  ...CRASSULA_TAXA,
  ...ALOE_TAXA,
  ...AGAVE_TAXA,
  ...MESEMB_TAXA,
  ...SHRUB_TAXA,
  ...CACTUS_TAXA,
].toSorted((a, b) => (a.name < b.name ? -1 : 1));
