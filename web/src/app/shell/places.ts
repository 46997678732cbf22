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
  { path: '/today', name: 'Today', icon: mdiCalendarCheckOutline, first: true },
  { path: '/plan', name: 'Plan', icon: mdiContentCut, first: true },
  { path: '/mothers', name: 'Mother plants', icon: mdiSproutOutline },
  { path: '/mixes', name: 'Mixes', icon: mdiLayersOutline },
  { path: '/bench', name: 'Bench', icon: mdiTrayFull, first: true },
];

/** Below it: what lies beneath. */
export const BELOW: readonly Place[] = [
  { path: '/results', name: 'Results', icon: mdiChartBellCurveCumulative, first: true },
  { path: '/plants', name: 'Plant guide', icon: mdiLibraryOutline },
  { path: '/settings', name: 'Settings', icon: mdiWarehouse },
];
