/** The places that have pages beside each other. */
export type TabRow = 'plan' | 'mixes' | 'results';

/** A page of the application, told once: its route, its title, its tab, how it is found, where tests look at it. */
export interface PageEntry {
  /** As the router has it. */
  readonly path: string;
  readonly title: string;
  /** What one types to find it, where that is not its title; pages of one thing are found by the thing. */
  readonly find?: string;
  readonly tab?: { readonly of: TabRow; readonly name: string };
  /** Where it is seen in the demo, under which heading: every page of this list is looked at by the tests. */
  readonly seen: readonly (readonly [heading: string, address: string])[];
}

/** Tabs stand in the order of this list. */
export const PAGE_LIST = [
  { path: 'today', title: 'Today', seen: [['Thursday 9 April', 'today']] },
  {
    path: 'today/walk',
    title: 'Walk',
    find: 'Walk the benches',
    seen: [['Walk the benches', 'today/walk']],
  },
  { path: 'today/sheet', title: 'Pencil sheet', seen: [['Pencil sheet', 'today/sheet']] },
  {
    path: 'start',
    title: 'Start your own journal',
    seen: [['Where do your cuttings stand?', 'start']],
  },
  {
    path: 'plan',
    title: 'Plan',
    find: 'Plan a batch',
    tab: { of: 'plan', name: 'Batch' },
    seen: [['Plan a batch', 'plan?mother=m-opun']],
  },
  {
    path: 'plan/stem',
    title: 'Cut map',
    tab: { of: 'plan', name: 'Cut map' },
    seen: [['Cut map', 'plan/stem?mother=m-sedu']],
  },
  {
    path: 'plan/straps',
    title: 'Leaf sections',
    tab: { of: 'plan', name: 'Leaf sections' },
    seen: [['Leaf sections', 'plan/straps?mother=m-gast']],
  },
  {
    path: 'plan/clump',
    title: 'Pups',
    tab: { of: 'plan', name: 'Pups' },
    seen: [['Pups', 'plan/clump?mother=m-hawo']],
  },
  {
    path: 'plan/divide',
    title: 'Division',
    tab: { of: 'plan', name: 'Division' },
    seen: [['Division', 'plan/divide?mother=m-hawo']],
  },
  {
    path: 'plan/rehearse',
    title: 'Try it first',
    tab: { of: 'plan', name: 'Try it first' },
    seen: [['Try it first', 'plan/rehearse?mother=m-eche']],
  },
  {
    path: 'plan/practice',
    title: 'Practice',
    tab: { of: 'plan', name: 'Practice' },
    seen: [['Practice', 'plan/practice']],
  },
  {
    path: 'plan/practice/:id',
    title: 'Practice',
    seen: [['One of them smells', 'plan/practice/one-rotting']],
  },
  {
    path: 'plan/multiply',
    title: 'Multiply',
    tab: { of: 'plan', name: 'Multiply' },
    seen: [['Multiply', 'plan/multiply?mother=m-kala']],
  },
  { path: 'mothers', title: 'Mother plants', seen: [['Mother plants', 'mothers']] },
  {
    path: 'mothers/new',
    title: 'Add a mother',
    find: 'Add a mother plant',
    seen: [['Add a mother', 'mothers/new']],
  },
  {
    path: 'mothers/:id',
    title: 'Mother plant',
    seen: [
      ['Ghost plant, the second', 'mothers/m-gra2'],
      ['Ox tongue, shelf end', 'mothers/m-gast'],
    ],
  },
  {
    path: 'mothers/:id/edit',
    title: 'Change a mother',
    seen: [['Change a mother', 'mothers/m-gra2/edit']],
  },
  { path: 'mixes', title: 'Mixes', tab: { of: 'mixes', name: 'Mix' }, seen: [['Mixes', 'mixes']] },
  {
    path: 'mixes/amounts',
    title: 'Amounts',
    tab: { of: 'mixes', name: 'Amounts' },
    seen: [['Amounts', 'mixes/amounts']],
  },
  {
    path: 'mixes/solve',
    title: 'Solve for a mix',
    tab: { of: 'mixes', name: 'Solve' },
    seen: [['Solve for a mix', 'mixes/solve']],
  },
  {
    path: 'mixes/jug',
    title: 'Jug test',
    tab: { of: 'mixes', name: 'Jug test' },
    seen: [['Jug test', 'mixes/jug']],
  },
  {
    path: 'mixes/beside',
    title: 'Side by side',
    tab: { of: 'mixes', name: 'Side by side' },
    seen: [['Side by side', 'mixes/beside']],
  },
  {
    path: 'mixes/shelf',
    title: 'Shelf',
    tab: { of: 'mixes', name: 'Shelf' },
    seen: [['Shelf', 'mixes/shelf']],
  },
  {
    path: 'mixes/pots',
    title: 'Pots',
    tab: { of: 'mixes', name: 'Pots' },
    seen: [['Pots', 'mixes/pots']],
  },
  { path: 'bench', title: 'Bench', seen: [['Bench', 'bench']] },
  {
    path: 'bench/new',
    title: 'Add cuttings you already have',
    seen: [['Add cuttings you already have', 'bench/new']],
  },
  { path: 'bench/trays', title: 'Trays', seen: [['Trays', 'bench/trays']] },
  { path: 'bench/trays/:id', title: 'Tray', seen: [['Mat tray', 'bench/trays/t-mat']] },
  { path: 'bench/orders', title: 'Orders', seen: [['Orders', 'bench/orders']] },
  { path: 'bench/labels', title: 'Labels', seen: [['Labels', 'bench/labels']] },
  { path: 'bench/scan', title: 'Scan a label', seen: [['Scan a label', 'bench/scan']] },
  {
    path: 'bench/:id/pictures',
    title: 'Pictures',
    seen: [['Jelly beans, crowns', 'bench/b-19/pictures']],
  },
  { path: 'bench/:id', title: 'Batch', seen: [['Jelly beans, crowns', 'bench/b-19']] },
  {
    path: 'bench/:id/water',
    title: 'Water',
    seen: [
      ['Zebra clump, offsets', 'bench/b-18/water'],
      ['Ghost plant, leaves', 'bench/b-25/water'],
    ],
  },
  { path: 'bench/:id/log', title: 'Log', seen: [['Jelly beans, crowns', 'bench/b-19/log']] },
  {
    path: 'bench/:id/look',
    title: 'What do you see',
    seen: [['What do you see?', 'bench/b-20/look']],
  },
  {
    path: 'bench/:id/course',
    title: 'How it is grown',
    seen: [['How it is grown', 'bench/b-25/course']],
  },
  { path: 'bench/:id/slip', title: 'Care slip', seen: [['Care slip', 'bench/b-24/slip']] },
  { path: 'bench/:id/what-if', title: 'What if', seen: [['What if', 'bench/b-22/what-if']] },
  {
    path: 'bench/:id/part',
    title: 'Take some out',
    seen: [['Take some out', 'bench/b-19/part?way=rescued']],
  },
  {
    path: 'bench/:id/sheet',
    title: 'Plan sheet',
    seen: [['Plan sheet: Moonstones, crowns', 'bench/b-28/sheet']],
  },
  {
    path: 'bench/:id/count',
    title: 'Count',
    seen: [['Count Jelly beans, crowns', 'bench/b-19/count']],
  },
  {
    path: 'results',
    title: 'Results',
    tab: { of: 'results', name: 'Overview' },
    seen: [['Results', 'results']],
  },
  {
    path: 'results/compare',
    title: 'Compare ways',
    tab: { of: 'results', name: 'Compare ways' },
    seen: [['Compare ways', 'results/compare']],
  },
  {
    path: 'results/losses',
    title: 'Losses',
    tab: { of: 'results', name: 'Losses' },
    seen: [['Losses', 'results/losses']],
  },
  {
    path: 'results/trials',
    title: 'Trials',
    tab: { of: 'results', name: 'Trials' },
    seen: [['Trials', 'results/trials']],
  },
  {
    path: 'results/trials/new',
    title: 'Design a trial',
    seen: [['Design a trial', 'results/trials/new']],
  },
  {
    path: 'results/trials/:id',
    title: 'Trial',
    seen: [['Cinnamon or nothing', 'results/trials/t-cinnamon']],
  },
  {
    path: 'results/money',
    title: 'Money and time',
    tab: { of: 'results', name: 'Money and time' },
    seen: [['Money and time', 'results/money']],
  },
  {
    path: 'results/report',
    title: 'Season report',
    tab: { of: 'results', name: 'Report' },
    seen: [['Season report', 'results/report']],
  },
  {
    path: 'results/forecasts',
    title: 'Forecasts',
    tab: { of: 'results', name: 'Forecasts' },
    seen: [['Forecasts', 'results/forecasts']],
  },
  {
    path: 'results/learned',
    title: 'What it has learned',
    tab: { of: 'results', name: 'Learned' },
    seen: [['What it has learned', 'results/learned']],
  },
  { path: 'plants', title: 'Plant guide', seen: [['Plant guide', 'plants']] },
  { path: 'plants/new', title: 'Add a plant', seen: [['Add a plant', 'plants/new']] },
  {
    path: 'plants/:id/own',
    title: 'Your own figures',
    seen: [['Your own figures', 'plants/echeveria-elegans/own']],
  },
  { path: 'plants/:id', title: 'Plant', seen: [['Euphorbia milii', 'plants/euphorbia-milii']] },
  { path: 'marks', title: 'The marks', seen: [['The marks', 'marks']] },
  { path: 'settings', title: 'Settings', seen: [['Settings', 'settings']] },
  { path: 'settings/data', title: 'Data in and out', seen: [['Data in and out', 'settings/data']] },
  {
    path: 'settings/paper',
    title: 'An old paper log',
    seen: [['An old paper log', 'settings/paper']],
  },
  { path: 'settings/air/:id', title: 'Air', seen: [['Air: Lean-to', 'settings/air/leanto']] },
  {
    path: 'settings/made-with',
    title: 'Made with',
    find: 'Made with: licences',
    seen: [['Made with', 'settings/made-with']],
  },
  { path: 'settings/devices', title: 'Devices', seen: [['Devices', 'settings/devices']] },
] as const satisfies readonly PageEntry[];

export type PagePath = (typeof PAGE_LIST)[number]['path'];

const ALL: readonly PageEntry[] = PAGE_LIST;

/** The pages one may ask for by name: all but those of one thing, which is found itself. */
export const FOUND_BY_NAME: readonly { readonly title: string; readonly path: string }[] =
  ALL.flatMap(({ path, title, find }) =>
    path.includes(':') ? [] : [{ title: find ?? title, path: `/${path}` }],
  );

/** The pages beside each other. */
export const tabsOf = (row: TabRow): readonly { readonly path: string; readonly name: string }[] =>
  ALL.flatMap(({ path, tab }) => (tab?.of === row ? [{ path: `/${path}`, name: tab.name }] : []));
