import {
  inject,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import {
  provideRouter,
  TitleStrategy,
  withComponentInputBinding,
  withHashLocation,
  withInMemoryScrolling,
} from '@angular/router';
import { routes } from './app.routes';
import { Devices } from './data/devices';
import { Journal } from './data/journal';
import { Theme } from './data/theme';
import { PageTitle } from './shell/page-title';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    provideRouter(
      routes,
      // Addresses work wherever the files are served from, also from a folder or a phone's cache.
      withHashLocation(),
      withComponentInputBinding(),
      withInMemoryScrolling({ scrollPositionRestoration: 'enabled' }),
    ),
    { provide: TitleStrategy, useClass: PageTitle },
    provideAppInitializer(() => {
      inject(Theme);
      // The shell is drawn while the journal opens; pages wait for it themselves.
      const devices = inject(Devices);
      void inject(Journal)
        .open()
        .then(() => devices.open());
    }),
  ],
};
