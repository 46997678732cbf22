/** The places that have pages beside each other. */
export type TabRow = 'plan' | 'mixes' | 'results';

/** A page of the application, told once: its route, its title, its tab, how it is found. */
export interface PageEntry {
  /** As the router has it. */
  readonly path: string;
  readonly title: string;
  /** What one types to find it, where that is not its title; empty where nobody looks for it. Pages of one thing are found by the thing. */
  readonly find?: string;
  readonly tab?: { readonly of: TabRow; readonly name: string };
}

/** Tabs stand in the order of this list. */
export const PAGE_LIST = [
  { path: 'today', title: 'Today' },
  { path: 'today/walk', title: 'Walk', find: 'Walk the benches' },
  { path: 'today/sheet', title: 'Pencil sheet' },
  { path: 'start', title: 'Start your own journal' },
  { path: 'plan', title: 'Plan', find: 'Plan a batch', tab: { of: 'plan', name: 'Plan' } },
  { path: 'plan/cut-day', title: 'Cut day', find: 'Cut day: several mothers' },
  { path: 'plan/sheets', title: 'Plan sheets', find: '' },
  { path: 'plan/stem', title: 'Cut map' },
  { path: 'plan/straps', title: 'Leaf sections' },
  { path: 'plan/clump', title: 'Pups' },
  { path: 'plan/divide', title: 'Division' },
  { path: 'plan/rehearse', title: 'Try it first', tab: { of: 'plan', name: 'Try it first' } },
  { path: 'plan/practice', title: 'Practice', tab: { of: 'plan', name: 'Practice' } },
  { path: 'plan/practice/:id', title: 'Practice' },
  { path: 'plan/multiply', title: 'Multiply' },
  { path: 'mothers', title: 'Mother plants' },
  { path: 'mothers/new', title: 'Add a mother', find: 'Add a mother plant' },
  { path: 'mothers/:id', title: 'Mother plant' },
  { path: 'mothers/:id/edit', title: 'Change a mother' },
  { path: 'mixes', title: 'Mixes', tab: { of: 'mixes', name: 'Mix' } },
  { path: 'mixes/amounts', title: 'Amounts', tab: { of: 'mixes', name: 'Amounts' } },
  { path: 'mixes/solve', title: 'Solve for a mix', tab: { of: 'mixes', name: 'Solve' } },
  { path: 'mixes/jug', title: 'Jug test', tab: { of: 'mixes', name: 'Jug test' } },
  { path: 'mixes/beside', title: 'Side by side', tab: { of: 'mixes', name: 'Side by side' } },
  { path: 'mixes/shelf', title: 'Shelf', tab: { of: 'mixes', name: 'Shelf' } },
  { path: 'mixes/pots', title: 'Pots', tab: { of: 'mixes', name: 'Pots' } },
  { path: 'bench', title: 'Bench' },
  { path: 'bench/new', title: 'Add cuttings you already have' },
  { path: 'bench/trays', title: 'Trays' },
  { path: 'bench/trays/:id', title: 'Tray' },
  { path: 'bench/orders', title: 'Orders' },
  { path: 'bench/labels', title: 'Labels' },
  { path: 'bench/scan', title: 'Scan a label' },
  { path: 'bench/:id/pictures', title: 'Pictures' },
  { path: 'bench/:id', title: 'Batch' },
  { path: 'bench/:id/water', title: 'Water' },
  { path: 'bench/:id/log', title: 'Log' },
  { path: 'bench/:id/look', title: 'What do you see' },
  { path: 'bench/:id/course', title: 'How it is grown' },
  { path: 'bench/:id/slip', title: 'Care slip' },
  { path: 'bench/:id/what-if', title: 'What if' },
  { path: 'bench/:id/part', title: 'Take some out' },
  { path: 'bench/:id/sheet', title: 'Plan sheet' },
  { path: 'bench/:id/count', title: 'Count' },
  { path: 'results', title: 'Results', tab: { of: 'results', name: 'Overview' } },
  { path: 'results/losses', title: 'Losses' },
  { path: 'results/report', title: 'Season report' },
  { path: 'results/compare', title: 'Compare ways', tab: { of: 'results', name: 'Compare' } },
  { path: 'results/trials', title: 'Trials' },
  { path: 'results/trials/new', title: 'Design a trial' },
  { path: 'results/trials/:id', title: 'Trial' },
  {
    path: 'results/learned',
    title: 'What it has learned',
    tab: { of: 'results', name: 'Learned' },
  },
  { path: 'results/forecasts', title: 'Forecasts' },
  { path: 'results/benches', title: 'Benches' },
  { path: 'results/money', title: 'Money and time', tab: { of: 'results', name: 'Money' } },
  { path: 'plants', title: 'Plant guide' },
  { path: 'plants/new', title: 'Add a plant' },
  { path: 'plants/drawings', title: 'All drawings' },
  { path: 'plants/:id/own', title: 'Your own figures' },
  { path: 'plants/:id', title: 'Plant' },
  { path: 'marks', title: 'The marks' },
  { path: 'settings', title: 'Settings' },
  { path: 'settings/data', title: 'Data in and out' },
  { path: 'settings/paper', title: 'An old paper log' },
  { path: 'settings/air/:id', title: 'Air' },
  { path: 'settings/made-with', title: 'Made with', find: 'Made with: licences' },
  { path: 'settings/devices', title: 'Devices' },
] as const satisfies readonly PageEntry[];

export type PagePath = (typeof PAGE_LIST)[number]['path'];

const ALL: readonly PageEntry[] = PAGE_LIST;

/** The pages one may ask for by name: all but those of one thing, which is found itself. */
export const FOUND_BY_NAME: readonly { readonly title: string; readonly path: string }[] =
  ALL.flatMap(({ path, title, find }) =>
    path.includes(':') || find === '' ? [] : [{ title: find ?? title, path: `/${path}` }],
  );

/** The pages beside each other. */
export const tabsOf = (row: TabRow): readonly { readonly path: string; readonly name: string }[] =>
  ALL.flatMap(({ path, tab }) => (tab?.of === row ? [{ path: `/${path}`, name: tab.name }] : []));
