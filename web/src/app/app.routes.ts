import type { Routes } from '@angular/router';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'round' },
  {
    path: 'round',
    title: 'Round',
    loadComponent: () => import('./round/round-page').then((m) => m.RoundPage),
  },
  {
    path: 'round/walk',
    title: 'Walk',
    loadComponent: () => import('./round/walk-page').then((m) => m.WalkPage),
  },
  {
    path: 'round/sheet',
    title: 'Pencil sheet',
    loadComponent: () => import('./round/bench-sheet-page').then((m) => m.BenchSheetPage),
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
    title: 'Strap leaves',
    loadComponent: () => import('./plan/straps-page').then((m) => m.StrapsPage),
  },
  {
    path: 'plan/clump',
    title: 'Clump',
    loadComponent: () => import('./plan/clump-page').then((m) => m.ClumpPage),
  },
  {
    path: 'plan/multiply',
    title: 'Multiply',
    loadComponent: () => import('./plan/multiply-page').then((m) => m.MultiplyPage),
  },
  {
    path: 'mothers',
    title: 'Mothers',
    loadComponent: () => import('./mothers/mothers-page').then((m) => m.MothersPage),
  },
  {
    path: 'mothers/new',
    title: 'Add a mother',
    loadComponent: () => import('./mothers/mother-form').then((m) => m.MotherForm),
  },
  {
    path: 'mothers/:id',
    title: 'Mother',
    loadComponent: () => import('./mothers/mother-page').then((m) => m.MotherPage),
  },
  {
    path: 'mothers/:id/edit',
    title: 'Change a mother',
    loadComponent: () => import('./mothers/mother-form').then((m) => m.MotherForm),
  },
  {
    path: 'mix',
    title: 'Mix',
    loadComponent: () => import('./mix/mix-page').then((m) => m.MixPage),
  },
  {
    path: 'mix/amounts',
    title: 'Amounts',
    loadComponent: () => import('./mix/amounts-page').then((m) => m.AmountsPage),
  },
  {
    path: 'mix/solve',
    title: 'Solve for a mix',
    loadComponent: () => import('./mix/solve-page').then((m) => m.SolvePage),
  },
  {
    path: 'mix/jug',
    title: 'Jug test',
    loadComponent: () => import('./mix/jug-page').then((m) => m.JugPage),
  },
  {
    path: 'mix/beside',
    title: 'Side by side',
    loadComponent: () => import('./mix/beside-page').then((m) => m.BesidePage),
  },
  {
    path: 'mix/shelf',
    title: 'Shelf',
    loadComponent: () => import('./mix/shelf-page').then((m) => m.ShelfPage),
  },
  {
    path: 'mix/pots',
    title: 'Pots',
    loadComponent: () => import('./mix/pots-page').then((m) => m.PotsPage),
  },
  {
    path: 'bench',
    title: 'Bench',
    loadComponent: () => import('./bench/bench-page').then((m) => m.BenchPage),
  },
  {
    path: 'bench/new',
    title: 'What is already cut',
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
    path: 'ledger',
    title: 'Ledger',
    loadComponent: () => import('./ledger/ledger-page').then((m) => m.LedgerPage),
  },
  {
    path: 'ledger/compare',
    title: 'Compare ways',
    loadComponent: () => import('./ledger/compare-page').then((m) => m.ComparePage),
  },
  {
    path: 'ledger/losses',
    title: 'Losses',
    loadComponent: () => import('./ledger/losses-page').then((m) => m.LossesPage),
  },
  {
    path: 'ledger/trials',
    title: 'Trials',
    loadComponent: () => import('./ledger/trials-page').then((m) => m.TrialsPage),
  },
  {
    path: 'ledger/trials/new',
    title: 'Design a trial',
    loadComponent: () => import('./ledger/trial-form').then((m) => m.TrialForm),
  },
  {
    path: 'ledger/trials/:id',
    title: 'Trial',
    loadComponent: () => import('./ledger/trial-page').then((m) => m.TrialPage),
  },
  {
    path: 'ledger/money',
    title: 'Money and time',
    loadComponent: () => import('./ledger/money-page').then((m) => m.MoneyPage),
  },
  {
    path: 'ledger/report',
    title: 'Season report',
    loadComponent: () => import('./ledger/report-page').then((m) => m.ReportPage),
  },
  {
    path: 'ledger/learned',
    title: 'Learned',
    loadComponent: () => import('./ledger/learned-page').then((m) => m.LearnedPage),
  },
  {
    path: 'library',
    title: 'Library',
    loadComponent: () => import('./library/library-page').then((m) => m.LibraryPage),
  },
  {
    path: 'library/new',
    title: 'Add a plant',
    loadComponent: () => import('./library/own-figures').then((m) => m.OwnFigures),
  },
  {
    path: 'library/:id/own',
    title: 'Your own figures',
    loadComponent: () => import('./library/own-figures').then((m) => m.OwnFigures),
  },
  {
    path: 'library/:id',
    title: 'Plant',
    loadComponent: () => import('./library/taxon-page').then((m) => m.TaxonPage),
  },
  {
    path: 'marks',
    title: 'The marks',
    loadComponent: () => import('./library/marks-page').then((m) => m.MarksPage),
  },
  {
    path: 'store-room',
    title: 'Store room',
    loadComponent: () => import('./store-room/store-room-page').then((m) => m.StoreRoomPage),
  },
  {
    path: 'store-room/data',
    title: 'Data in and out',
    loadComponent: () => import('./store-room/data-page').then((m) => m.DataPage),
  },
  {
    path: 'store-room/paper',
    title: 'An old paper log',
    loadComponent: () => import('./store-room/paper-page').then((m) => m.PaperPage),
  },
  {
    path: 'store-room/air/:id',
    title: 'Air',
    loadComponent: () => import('./air/air-page').then((m) => m.AirPage),
  },
  {
    path: 'store-room/made-with',
    title: 'Made with',
    loadComponent: () => import('./store-room/licences-page').then((m) => m.LicencesPage),
  },
  {
    path: 'store-room/devices',
    title: 'Devices',
    loadComponent: () => import('./air/devices-page').then((m) => m.DevicesPage),
  },
  {
    path: '**',
    title: 'Not here',
    loadComponent: () => import('./shell/lost-page').then((m) => m.LostPage),
  },
];
