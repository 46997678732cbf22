import { say } from '@hypogeon/messages/pages';

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
  {
    path: 'today',
    get title() {
      return say.today();
    },
  },
  {
    path: 'today/walk',
    get title() {
      return say.walk();
    },
    get find() {
      return say.walkTheBenches();
    },
  },
  {
    path: 'today/sheet',
    get title() {
      return say.pencilSheet();
    },
  },
  {
    path: 'start',
    get title() {
      return say.startYourOwnJournal();
    },
  },
  {
    path: 'plan',
    get title() {
      return say.plan();
    },
    get find() {
      return say.planABatch();
    },
    tab: {
      of: 'plan',
      get name() {
        return say.plan();
      },
    },
  },
  {
    path: 'plan/cut-day',
    get title() {
      return say.cutDay();
    },
    get find() {
      return say.cutDaySeveralMothers();
    },
  },
  {
    path: 'plan/sheets',
    get title() {
      return say.planSheets();
    },
    find: '',
  },
  {
    path: 'plan/stem',
    get title() {
      return say.cutMap();
    },
  },
  {
    path: 'plan/straps',
    get title() {
      return say.leafSections();
    },
  },
  {
    path: 'plan/clump',
    get title() {
      return say.pups();
    },
  },
  {
    path: 'plan/divide',
    get title() {
      return say.division();
    },
  },
  {
    path: 'plan/rehearse',
    get title() {
      return say.tryItFirst();
    },
    tab: {
      of: 'plan',
      get name() {
        return say.tryItFirst();
      },
    },
  },
  {
    path: 'plan/practice',
    get title() {
      return say.practice();
    },
    tab: {
      of: 'plan',
      get name() {
        return say.practice();
      },
    },
  },
  {
    path: 'plan/practice/:id',
    get title() {
      return say.practice();
    },
  },
  {
    path: 'plan/multiply',
    get title() {
      return say.multiply();
    },
  },
  {
    path: 'mothers',
    get title() {
      return say.motherPlants();
    },
  },
  {
    path: 'mothers/new',
    get title() {
      return say.addAMother();
    },
    get find() {
      return say.addAMotherPlant();
    },
  },
  {
    path: 'mothers/:id',
    get title() {
      return say.motherPlant();
    },
  },
  {
    path: 'mothers/:id/edit',
    get title() {
      return say.changeAMother();
    },
  },
  {
    path: 'mixes',
    get title() {
      return say.mixes();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.mix();
      },
    },
  },
  {
    path: 'mixes/amounts',
    get title() {
      return say.amounts();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.amounts();
      },
    },
  },
  {
    path: 'mixes/solve',
    get title() {
      return say.solveForAMix();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.solve();
      },
    },
  },
  {
    path: 'mixes/jug',
    get title() {
      return say.jugTest();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.jugTest();
      },
    },
  },
  {
    path: 'mixes/beside',
    get title() {
      return say.sideBySide();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.sideBySide();
      },
    },
  },
  {
    path: 'mixes/shelf',
    get title() {
      return say.shelf();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.shelf();
      },
    },
  },
  {
    path: 'mixes/pots',
    get title() {
      return say.pots();
    },
    tab: {
      of: 'mixes',
      get name() {
        return say.pots();
      },
    },
  },
  {
    path: 'bench',
    get title() {
      return say.bench();
    },
  },
  {
    path: 'bench/new',
    get title() {
      return say.addCuttingsYouAlready();
    },
  },
  {
    path: 'bench/trays',
    get title() {
      return say.trays();
    },
  },
  {
    path: 'bench/trays/:id',
    get title() {
      return say.tray();
    },
  },
  {
    path: 'bench/orders',
    get title() {
      return say.orders();
    },
  },
  {
    path: 'bench/labels',
    get title() {
      return say.labels();
    },
  },
  {
    path: 'bench/scan',
    get title() {
      return say.scanALabel();
    },
  },
  {
    path: 'bench/:id/pictures',
    get title() {
      return say.pictures();
    },
  },
  {
    path: 'bench/:id',
    get title() {
      return say.batch();
    },
  },
  {
    path: 'bench/:id/water',
    get title() {
      return say.water();
    },
  },
  {
    path: 'bench/:id/log',
    get title() {
      return say.log();
    },
  },
  {
    path: 'bench/:id/look',
    get title() {
      return say.whatDoYouSee();
    },
  },
  {
    path: 'bench/:id/course',
    get title() {
      return say.howItIsGrown();
    },
  },
  {
    path: 'bench/:id/slip',
    get title() {
      return say.careSlip();
    },
  },
  {
    path: 'bench/:id/what-if',
    get title() {
      return say.whatIf();
    },
  },
  {
    path: 'bench/:id/part',
    get title() {
      return say.takeSomeOut();
    },
  },
  {
    path: 'bench/:id/sheet',
    get title() {
      return say.planSheet();
    },
  },
  {
    path: 'bench/:id/count',
    get title() {
      return say.count();
    },
  },
  {
    path: 'results',
    get title() {
      return say.results();
    },
    tab: {
      of: 'results',
      get name() {
        return say.overview();
      },
    },
  },
  {
    path: 'results/losses',
    get title() {
      return say.losses();
    },
  },
  {
    path: 'results/report',
    get title() {
      return say.seasonReport();
    },
  },
  {
    path: 'results/compare',
    get title() {
      return say.compareWays();
    },
    tab: {
      of: 'results',
      get name() {
        return say.compare();
      },
    },
  },
  {
    path: 'results/trials',
    get title() {
      return say.trials();
    },
  },
  {
    path: 'results/trials/new',
    get title() {
      return say.designATrial();
    },
  },
  {
    path: 'results/trials/:id',
    get title() {
      return say.trial();
    },
  },
  {
    path: 'results/learned',
    get title() {
      return say.whatItHasLearned();
    },
    tab: {
      of: 'results',
      get name() {
        return say.learned();
      },
    },
  },
  {
    path: 'results/forecasts',
    get title() {
      return say.forecasts();
    },
  },
  {
    path: 'results/benches',
    get title() {
      return say.benches();
    },
  },
  {
    path: 'results/money',
    get title() {
      return say.moneyAndTime();
    },
    tab: {
      of: 'results',
      get name() {
        return say.money();
      },
    },
  },
  {
    path: 'plants',
    get title() {
      return say.plantGuide();
    },
  },
  {
    path: 'plants/new',
    get title() {
      return say.addAPlant();
    },
  },
  {
    path: 'plants/drawings',
    get title() {
      return say.allDrawings();
    },
  },
  {
    path: 'plants/:id/own',
    get title() {
      return say.yourOwnFigures();
    },
  },
  {
    path: 'plants/:id',
    get title() {
      return say.plant();
    },
  },
  {
    path: 'marks',
    get title() {
      return say.theMarks();
    },
  },
  {
    path: 'settings',
    get title() {
      return say.settings();
    },
  },
  {
    path: 'settings/data',
    get title() {
      return say.dataInAndOut();
    },
  },
  {
    path: 'settings/paper',
    get title() {
      return say.anOldPaperLog();
    },
  },
  {
    path: 'settings/air/:id',
    get title() {
      return say.air();
    },
  },
  {
    path: 'settings/made-with',
    get title() {
      return say.madeWith();
    },
    get find() {
      return say.madeWithLicences();
    },
  },
  {
    path: 'settings/devices',
    get title() {
      return say.devices();
    },
  },
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
