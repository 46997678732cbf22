import {
  ErrorHandler,
  inject,
  Injector,
  isDevMode,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import {
  provideRouter,
  TitleStrategy,
  UrlSerializer,
  withComponentInputBinding,
  withHashLocation,
  withInMemoryScrolling,
  withNavigationErrorHandler,
} from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { routes } from './app.routes';
import { STORES, type Stores } from './data/book';
import { Journal } from './data/journal';
import { Language } from './data/language';
import { Theme } from './data/theme';
import { isCodeGone, Updates } from './data/updates';
import { PageTitle } from './shell/page-title';
import { ReadableAddresses } from './shell/readable-addresses';
import { SayErrors } from './shell/say-errors';

/** A first screen in English is better than none. */
const MESSAGES_MS = 4000;

const delay = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    { provide: ErrorHandler, useClass: SayErrors },
    provideRouter(
      routes,
      // Addresses work wherever the files are served from, also from a folder or a phone's cache.
      withHashLocation(),
      withComponentInputBinding(),
      withInMemoryScrolling({ scrollPositionRestoration: 'enabled' }),
      withNavigationErrorHandler(({ error, url }) => {
        if (!isCodeGone(error)) return;
        void inject(Updates).missing(url);
      }),
    ),
    // It fetches everything once: not while the first round is drawn and the first taps are made.
    provideServiceWorker('offline-worker.js', {
      enabled: !isDevMode(),
      registrationStrategy: 'registerWithDelay:12000',
    }),
    { provide: UrlSerializer, useClass: ReadableAddresses },
    { provide: TitleStrategy, useClass: PageTitle },
    provideAppInitializer(() => {
      inject(Theme);
      const language = inject(Language);
      // The shell is drawn while the journal opens; pages wait for it themselves.
      const injector = inject(Injector);
      const { device } = inject(STORES);
      void inject(Journal)
        .open()
        .then(() => listenToDevices(injector, device));
      // English needs none; of another language the first screen waits for its words, though not for ever.
      return Promise.race([language.settle(), delay(MESSAGES_MS)]);
    }),
  ],
};

/** Only who has paired a device pays for what speaks with it. */
async function listenToDevices(injector: Injector, store: Stores['device']): Promise<void> {
  const paired = await store.getItem('devices').catch(() => null);
  if (!Array.isArray(paired) || paired.length === 0) return;
  const { Devices } = await import('./data/devices');
  await injector.get(Devices).open();
}
