import { say } from '@hypogeon/messages/places';
import {
  mdiCalendarCheckOutline,
  mdiChartBellCurveCumulative,
  mdiContentCut,
  mdiLayersOutline,
  mdiLibraryOutline,
  mdiSproutOutline,
  mdiTrayFull,
  mdiWarehouse,
} from '@mdi/js';

export interface Place {
  readonly path: string;
  readonly name: string;
  readonly icon: string;
  /** Stands in the bar of a phone; the others are under “More”. */
  readonly first?: boolean;
}

/** Above the soil line: what is done. */
export const ABOVE: readonly Place[] = [
  {
    path: '/today',
    get name() {
      return say.today();
    },
    icon: mdiCalendarCheckOutline,
    first: true,
  },
  {
    path: '/plan',
    get name() {
      return say.plan();
    },
    icon: mdiContentCut,
    first: true,
  },
  {
    path: '/mothers',
    get name() {
      return say.motherPlants();
    },
    icon: mdiSproutOutline,
  },
  {
    path: '/mixes',
    get name() {
      return say.mixes();
    },
    icon: mdiLayersOutline,
  },
  {
    path: '/bench',
    get name() {
      return say.bench();
    },
    icon: mdiTrayFull,
    first: true,
  },
];

/** Below it: what lies beneath. */
export const BELOW: readonly Place[] = [
  {
    path: '/results',
    get name() {
      return say.results();
    },
    icon: mdiChartBellCurveCumulative,
    first: true,
  },
  {
    path: '/plants',
    get name() {
      return say.plantGuide();
    },
    icon: mdiLibraryOutline,
  },
  {
    path: '/settings',
    get name() {
      return say.settings();
    },
    icon: mdiWarehouse,
  },
];
