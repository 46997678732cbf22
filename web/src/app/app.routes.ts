import { isDevMode } from '@angular/core';
import type { Routes } from '@angular/router';

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
  {
    path: 'today',
    title: 'Today',
    loadComponent: () => import('./today/today-page').then((m) => m.TodayPage),
  },
  {
    path: 'today/walk',
    title: 'Walk',
    loadComponent: () => import('./today/walk-page').then((m) => m.WalkPage),
  },
  {
    path: 'today/sheet',
    title: 'Pencil sheet',
    loadComponent: () => import('./today/bench-sheet-page').then((m) => m.BenchSheetPage),
  },
  {
    path: 'start',
    title: 'Start your own journal',
    loadComponent: () => import('./start/start-page').then((m) => m.StartPage),
  },
  {
    path: 'plan',
    title: 'Plan',
    loadComponent: () => import('./plan/plan-page').then((m) => m.PlanPage),
  },
  {
    path: 'plan/stem',
    title: 'Cut map',
    loadComponent: () => import('./plan/cut-map-page').then((m) => m.CutMapPage),
  },
  {
    path: 'plan/straps',
    title: 'Leaf sections',
    loadComponent: () => import('./plan/straps-page').then((m) => m.StrapsPage),
  },
  {
    path: 'plan/clump',
    title: 'Pups',
    loadComponent: () => import('./plan/clump-page').then((m) => m.ClumpPage),
  },
  {
    path: 'plan/divide',
    title: 'Division',
    loadComponent: () => import('./plan/division-page').then((m) => m.DivisionPage),
  },
  {
    path: 'plan/rehearse',
    title: 'Try it first',
    loadComponent: () => import('./rehearse/rehearse-page').then((m) => m.RehearsePage),
  },
  {
    path: 'plan/practice',
    title: 'Practice',
    loadComponent: () => import('./practice/practice-page').then((m) => m.PracticePage),
  },
  {
    path: 'plan/practice/:id',
    title: 'Practice',
    loadComponent: () => import('./practice/play-page').then((m) => m.PlayPage),
  },
  {
    path: 'plan/multiply',
    title: 'Multiply',
    loadComponent: () => import('./plan/multiply-page').then((m) => m.MultiplyPage),
  },
  {
    path: 'mothers',
    title: 'Mother plants',
    loadComponent: () => import('./mothers/mothers-page').then((m) => m.MothersPage),
  },
  {
    path: 'mothers/new',
    title: 'Add a mother',
    loadComponent: () => import('./mothers/mother-form').then((m) => m.MotherForm),
  },
  {
    path: 'mothers/:id',
    title: 'Mother plant',
    loadComponent: () => import('./mothers/mother-page').then((m) => m.MotherPage),
  },
  {
    path: 'mothers/:id/edit',
    title: 'Change a mother',
    loadComponent: () => import('./mothers/mother-form').then((m) => m.MotherForm),
  },
  {
    path: 'mixes',
    title: 'Mixes',
    loadComponent: () => import('./mixes/mix-page').then((m) => m.MixPage),
  },
  {
    path: 'mixes/amounts',
    title: 'Amounts',
    loadComponent: () => import('./mixes/amounts-page').then((m) => m.AmountsPage),
  },
  {
    path: 'mixes/solve',
    title: 'Solve for a mix',
    loadComponent: () => import('./mixes/solve-page').then((m) => m.SolvePage),
  },
  {
    path: 'mixes/jug',
    title: 'Jug test',
    loadComponent: () => import('./mixes/jug-page').then((m) => m.JugPage),
  },
  {
    path: 'mixes/beside',
    title: 'Side by side',
    loadComponent: () => import('./mixes/beside-page').then((m) => m.BesidePage),
  },
  {
    path: 'mixes/shelf',
    title: 'Shelf',
    loadComponent: () => import('./mixes/shelf-page').then((m) => m.ShelfPage),
  },
  {
    path: 'mixes/pots',
    title: 'Pots',
    loadComponent: () => import('./mixes/pots-page').then((m) => m.PotsPage),
  },
  {
    path: 'bench',
    title: 'Bench',
    loadComponent: () => import('./bench/bench-page').then((m) => m.BenchPage),
  },
  {
    path: 'bench/new',
    title: 'Add cuttings you already have',
    loadComponent: () => import('./bench/quick-page').then((m) => m.QuickPage),
  },
  {
    path: 'bench/trays',
    title: 'Trays',
    loadComponent: () => import('./trays/trays-page').then((m) => m.TraysPage),
  },
  {
    path: 'bench/trays/:id',
    title: 'Tray',
    loadComponent: () => import('./trays/tray-page').then((m) => m.TrayPage),
  },
  {
    path: 'bench/orders',
    title: 'Orders',
    loadComponent: () => import('./orders/orders-page').then((m) => m.OrdersPage),
  },
  {
    path: 'bench/labels',
    title: 'Labels',
    loadComponent: () => import('./labels/labels-page').then((m) => m.LabelsPage),
  },
  {
    path: 'bench/scan',
    title: 'Scan a label',
    loadComponent: () => import('./labels/scan-page').then((m) => m.ScanPage),
  },
  {
    path: 'bench/:id/pictures',
    title: 'Pictures',
    loadComponent: () => import('./pictures/pictures-page').then((m) => m.PicturesPage),
  },
  {
    path: 'bench/:id',
    title: 'Batch',
    loadComponent: () => import('./bench/batch-page').then((m) => m.BatchPage),
  },
  {
    path: 'bench/:id/water',
    title: 'Water',
    loadComponent: () => import('./bench/water-page').then((m) => m.WaterPage),
  },
  {
    path: 'bench/:id/log',
    title: 'Log',
    loadComponent: () => import('./bench/log-page').then((m) => m.LogPage),
  },
  {
    path: 'bench/:id/look',
    title: 'What do you see',
    loadComponent: () => import('./bench/inspect-page').then((m) => m.InspectPage),
  },
  {
    path: 'bench/:id/course',
    title: 'How it is grown',
    loadComponent: () => import('./bench/course-page').then((m) => m.CoursePage),
  },
  {
    path: 'bench/:id/slip',
    title: 'Care slip',
    loadComponent: () => import('./handover/slip-page').then((m) => m.SlipPage),
  },
  {
    path: 'bench/:id/what-if',
    title: 'What if',
    loadComponent: () => import('./rehearse/what-if-page').then((m) => m.WhatIfPage),
  },
  {
    path: 'bench/:id/part',
    title: 'Take some out',
    loadComponent: () => import('./bench/part-page').then((m) => m.PartPage),
  },
  {
    path: 'bench/:id/sheet',
    title: 'Plan sheet',
    loadComponent: () => import('./plan/sheet-page').then((m) => m.SheetPage),
  },
  {
    path: 'bench/:id/count',
    title: 'Count',
    loadComponent: () => import('./bench/tally-page').then((m) => m.TallyPage),
  },
  {
    path: 'results',
    title: 'Results',
    loadComponent: () => import('./results/ledger-page').then((m) => m.LedgerPage),
  },
  {
    path: 'results/compare',
    title: 'Compare ways',
    loadComponent: () => import('./results/compare-page').then((m) => m.ComparePage),
  },
  {
    path: 'results/losses',
    title: 'Losses',
    loadComponent: () => import('./results/losses-page').then((m) => m.LossesPage),
  },
  {
    path: 'results/trials',
    title: 'Trials',
    loadComponent: () => import('./results/trials-page').then((m) => m.TrialsPage),
  },
  {
    path: 'results/trials/new',
    title: 'Design a trial',
    loadComponent: () => import('./results/trial-form').then((m) => m.TrialForm),
  },
  {
    path: 'results/trials/:id',
    title: 'Trial',
    loadComponent: () => import('./results/trial-page').then((m) => m.TrialPage),
  },
  {
    path: 'results/money',
    title: 'Money and time',
    loadComponent: () => import('./results/money-page').then((m) => m.MoneyPage),
  },
  {
    path: 'results/report',
    title: 'Season report',
    loadComponent: () => import('./results/report-page').then((m) => m.ReportPage),
  },
  {
    path: 'results/forecasts',
    title: 'Forecasts',
    loadComponent: () => import('./results/forecasts-page').then((m) => m.ForecastsPage),
  },
  {
    path: 'results/learned',
    title: 'What it has learned',
    loadComponent: () => import('./results/learned-page').then((m) => m.LearnedPage),
  },
  {
    path: 'plants',
    title: 'Plant guide',
    loadComponent: () => import('./plants/library-page').then((m) => m.LibraryPage),
  },
  {
    path: 'plants/new',
    title: 'Add a plant',
    loadComponent: () => import('./plants/own-figures').then((m) => m.OwnFigures),
  },
  {
    path: 'plants/:id/own',
    title: 'Your own figures',
    loadComponent: () => import('./plants/own-figures').then((m) => m.OwnFigures),
  },
  {
    path: 'plants/:id',
    title: 'Plant',
    loadComponent: () => import('./plants/taxon-page').then((m) => m.TaxonPage),
  },
  {
    path: 'marks',
    title: 'The marks',
    loadComponent: () => import('./plants/marks-page').then((m) => m.MarksPage),
  },
  {
    path: 'settings',
    title: 'Settings',
    loadComponent: () => import('./settings/settings-page').then((m) => m.SettingsPage),
  },
  {
    path: 'settings/data',
    title: 'Data in and out',
    loadComponent: () => import('./settings/data-page').then((m) => m.DataPage),
  },
  {
    path: 'settings/paper',
    title: 'An old paper log',
    loadComponent: () => import('./settings/paper-page').then((m) => m.PaperPage),
  },
  {
    path: 'settings/air/:id',
    title: 'Air',
    loadComponent: () => import('./air/air-page').then((m) => m.AirPage),
  },
  {
    path: 'settings/made-with',
    title: 'Made with',
    loadComponent: () => import('./settings/licences-page').then((m) => m.LicencesPage),
  },
  {
    path: 'settings/devices',
    title: 'Devices',
    loadComponent: () => import('./air/devices-page').then((m) => m.DevicesPage),
  },
  // Whoever builds with the kit sees it here; the built app has no such page.
  ...(isDevMode()
    ? [
        {
          path: 'workbench',
          title: 'Workbench',
          loadComponent: () => import('./workbench/workbench-page').then((m) => m.WorkbenchPage),
        },
      ]
    : []),
  {
    path: '**',
    title: 'Not here',
    loadComponent: () => import('./shell/lost-page').then((m) => m.LostPage),
  },
];
