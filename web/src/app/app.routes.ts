import { inject, isDevMode, type Type } from '@angular/core';
import type { Route, Routes } from '@angular/router';
import { say } from '@hypogeon/messages/app.routes';
import { Language } from './data/language';
import { PAGE_LIST, type PagePath } from './shell/pages';

type Load = () => Promise<Type<unknown>>;

/** The code of every page: none of the list may be without. */
const LOAD: Readonly<Record<PagePath, Load>> = {
  today: () => import('./today/today-page').then((m) => m.TodayPage),
  'today/walk': () => import('./today/walk-page').then((m) => m.WalkPage),
  'today/sheet': () => import('./today/bench-sheet-page').then((m) => m.BenchSheetPage),
  start: () => import('./start/start-page').then((m) => m.StartPage),
  plan: () => import('./plan/plan-page').then((m) => m.PlanPage),
  'plan/cut-day': () => import('./plan/cut-day-page').then((m) => m.CutDayPage),
  'plan/sheets': () => import('./plan/sheet-page').then((m) => m.SheetPage),
  'plan/stem': () => import('./plan/cut-map-page').then((m) => m.CutMapPage),
  'plan/straps': () => import('./plan/straps-page').then((m) => m.StrapsPage),
  'plan/clump': () => import('./plan/clump-page').then((m) => m.ClumpPage),
  'plan/divide': () => import('./plan/division-page').then((m) => m.DivisionPage),
  'plan/rehearse': () => import('./rehearse/rehearse-page').then((m) => m.RehearsePage),
  'plan/practice': () => import('./practice/practice-page').then((m) => m.PracticePage),
  'plan/practice/:id': () => import('./practice/play-page').then((m) => m.PlayPage),
  'plan/multiply': () => import('./plan/multiply-page').then((m) => m.MultiplyPage),
  mothers: () => import('./mothers/mothers-page').then((m) => m.MothersPage),
  'mothers/new': () => import('./mothers/mother-form').then((m) => m.MotherForm),
  'mothers/:id': () => import('./mothers/mother-page').then((m) => m.MotherPage),
  'mothers/:id/edit': () => import('./mothers/mother-form').then((m) => m.MotherForm),
  mixes: () => import('./mixes/mix-page').then((m) => m.MixPage),
  'mixes/amounts': () => import('./mixes/amounts-page').then((m) => m.AmountsPage),
  'mixes/solve': () => import('./mixes/solve-page').then((m) => m.SolvePage),
  'mixes/jug': () => import('./mixes/jug-page').then((m) => m.JugPage),
  'mixes/beside': () => import('./mixes/beside-page').then((m) => m.BesidePage),
  'mixes/shelf': () => import('./mixes/shelf-page').then((m) => m.ShelfPage),
  'mixes/pots': () => import('./mixes/pots-page').then((m) => m.PotsPage),
  bench: () => import('./bench/bench-page').then((m) => m.BenchPage),
  'bench/new': () => import('./bench/quick-page').then((m) => m.QuickPage),
  'bench/trays': () => import('./trays/trays-page').then((m) => m.TraysPage),
  'bench/trays/:id': () => import('./trays/tray-page').then((m) => m.TrayPage),
  'bench/orders': () => import('./orders/orders-page').then((m) => m.OrdersPage),
  'bench/labels': () => import('./labels/labels-page').then((m) => m.LabelsPage),
  'bench/scan': () => import('./labels/scan-page').then((m) => m.ScanPage),
  'bench/:id/pictures': () => import('./pictures/pictures-page').then((m) => m.PicturesPage),
  'bench/:id': () => import('./bench/batch-page').then((m) => m.BatchPage),
  'bench/:id/water': () => import('./bench/water-page').then((m) => m.WaterPage),
  'bench/:id/log': () => import('./bench/log-page').then((m) => m.LogPage),
  'bench/:id/look': () => import('./bench/inspect-page').then((m) => m.InspectPage),
  'bench/:id/course': () => import('./bench/course-page').then((m) => m.CoursePage),
  'bench/:id/slip': () => import('./handover/slip-page').then((m) => m.SlipPage),
  'bench/:id/what-if': () => import('./rehearse/what-if-page').then((m) => m.WhatIfPage),
  'bench/:id/part': () => import('./bench/part-page').then((m) => m.PartPage),
  'bench/:id/sheet': () => import('./plan/sheet-page').then((m) => m.SheetPage),
  'bench/:id/count': () => import('./bench/tally-page').then((m) => m.TallyPage),
  results: () => import('./results/ledger-page').then((m) => m.LedgerPage),
  'results/compare': () => import('./results/compare-page').then((m) => m.ComparePage),
  'results/losses': () => import('./results/losses-page').then((m) => m.LossesPage),
  'results/trials': () => import('./results/trials-page').then((m) => m.TrialsPage),
  'results/trials/new': () => import('./results/trial-form').then((m) => m.TrialForm),
  'results/trials/:id': () => import('./results/trial-page').then((m) => m.TrialPage),
  'results/money': () => import('./results/money-page').then((m) => m.MoneyPage),
  'results/report': () => import('./results/report-page').then((m) => m.ReportPage),
  'results/forecasts': () => import('./results/forecasts-page').then((m) => m.ForecastsPage),
  'results/benches': () => import('./results/benches-page').then((m) => m.BenchesPage),
  'results/learned': () => import('./results/learned-page').then((m) => m.LearnedPage),
  plants: () => import('./plants/library-page').then((m) => m.LibraryPage),
  'plants/drawings': () => import('./plants/drawings-page').then((m) => m.DrawingsPage),
  'plants/new': () => import('./plants/own-figures').then((m) => m.OwnFigures),
  'plants/:id/own': () => import('./plants/own-figures').then((m) => m.OwnFigures),
  'plants/:id': () => import('./plants/taxon-page').then((m) => m.TaxonPage),
  marks: () => import('./plants/marks-page').then((m) => m.MarksPage),
  settings: () => import('./settings/settings-page').then((m) => m.SettingsPage),
  'settings/data': () => import('./settings/data-page').then((m) => m.DataPage),
  'settings/paper': () => import('./settings/paper-page').then((m) => m.PaperPage),
  'settings/air/:id': () => import('./air/air-page').then((m) => m.AirPage),
  'settings/made-with': () => import('./settings/licences-page').then((m) => m.LicencesPage),
  'settings/devices': () => import('./air/devices-page').then((m) => m.DevicesPage),
};

/** A page is shown when its messages are here too: none begins in another language. */
const inLanguage =
  (load: Load): Load =>
  async () => {
    const language = inject(Language);
    const page = await load();
    await language.settle();
    return page;
  };

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'today' },
  // Addresses of earlier versions, in bookmarks and on printed sheets.
  { path: 'round', redirectTo: 'today' },
  { path: 'round/walk', redirectTo: 'today/walk' },
  { path: 'store-room', redirectTo: 'settings' },
  { path: 'ledger', redirectTo: 'results' },
  { path: 'library', redirectTo: 'plants' },
  { path: 'library/:id', redirectTo: 'plants/:id' },
  { path: 'mix', redirectTo: 'mixes' },
  ...PAGE_LIST.map((page): Route => ({
    path: page.path,
    title: () => page.title,
    loadComponent: inLanguage(LOAD[page.path]),
  })),
  // Whoever builds with the kit sees it here; the built app has no such page.
  ...(isDevMode()
    ? [
        {
          path: 'workbench',
          title: () => say.workbench(),
          loadComponent: () => import('./workbench/workbench-page').then((m) => m.WorkbenchPage),
        },
      ]
    : []),
  {
    path: '**',
    title: () => say.notHere(),
    loadComponent: () => import('./shell/lost-page').then((m) => m.LostPage),
  },
];
