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
}

/** Above the soil line: what is done. */
export const ABOVE: readonly Place[] = [
  { path: '/round', name: 'Round', icon: mdiCalendarCheckOutline },
  { path: '/plan', name: 'Plan', icon: mdiContentCut },
  { path: '/mothers', name: 'Mothers', icon: mdiSproutOutline },
  { path: '/mix', name: 'Mix', icon: mdiLayersOutline },
  { path: '/bench', name: 'Bench', icon: mdiTrayFull },
];

/** Below it: what lies beneath. */
export const BELOW: readonly Place[] = [
  { path: '/ledger', name: 'Ledger', icon: mdiChartBellCurveCumulative },
  { path: '/library', name: 'Library', icon: mdiLibraryOutline },
  { path: '/store-room', name: 'Store room', icon: mdiWarehouse },
];
