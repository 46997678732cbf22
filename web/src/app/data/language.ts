import { computed, DOCUMENT, effect, inject, Injectable, signal } from '@angular/core';
import {
  languageOf,
  placesWithout,
  PSEUDO,
  readMessagesAs,
  takeTable,
  type Table,
} from '@hypogeon/messages';
import { LANGUAGES, type LanguageId } from '@hypogeon/messages/languages';
import { localeOf } from '@hypogeon/words';

/** As the browser has it, or one of those there are. */
export type LanguageChoice = 'auto' | LanguageId | typeof PSEUDO;

const KEY = 'hypogeon.language';

/** The languages that are whole: the browser’s own is followed into these. */
const whole: readonly string[] = LANGUAGES.filter((l) => l.whole).map((l) => l.id);

/**
 * What is read on this device: the browser’s language where we have it, or the one that was chosen. Messages come place
 * by place, with the code that says them; English comes with the code itself.
 */
@Injectable({ providedIn: 'root' })
export class Language {
  private readonly root = inject(DOCUMENT).documentElement;
  private readonly chosen = signal<LanguageChoice>(remembered());
  /** Counts what has come: what was said in English meanwhile is said anew. */
  private readonly come = signal(0);
  private fetching: Promise<void> | null = null;

  readonly choice = this.chosen.asReadonly();
  /** `de-AT`: sentences, days and numbers. */
  readonly locale = computed(() => localeFor(this.chosen()));

  constructor() {
    readMessagesAs({
      locale: () => {
        this.come();
        return this.locale();
      },
      missing: () => void this.settle(),
    });
    effect(() => {
      this.root.lang = this.locale();
    });
  }

  /** Says everything in another language, as soon as its messages are here. */
  async choose(choice: LanguageChoice): Promise<void> {
    await this.bring(languageOf(localeFor(choice)));
    remember(choice);
    this.chosen.set(choice);
  }

  /** Messages of all the code that is here: asked before a page is shown, so that none begins in English. */
  async settle(): Promise<void> {
    // What is on its way may have been asked for before the code of the last place was here.
    await this.fetching;
    this.fetching ??= this.bring(languageOf(this.locale())).finally(() => (this.fetching = null));
    await this.fetching;
  }

  /** The messages of places: a worker is handed its own. */
  async tables(
    language: string,
    places: readonly string[],
  ): Promise<Readonly<Record<string, Table>>> {
    if (places.length === 0) return {};
    const { LOAD } = await import('@hypogeon/messages/load');
    const from = LOAD[language] ?? {};
    return Object.fromEntries(
      await Promise.all(
        places.map(async (place) => [place, (await from[place]?.())?.table ?? {}] as const),
      ),
    );
  }

  private async bring(language: string): Promise<void> {
    const wanted = placesWithout(language);
    if (wanted.length === 0) return;
    try {
      const tables = await this.tables(language, wanted);
      for (const place of wanted) takeTable(language, place, tables[place]!);
      this.come.update((n) => n + 1);
    } catch {
      // Without a line it is said in English, and asked for again with the next page.
    }
  }
}

function localeFor(choice: LanguageChoice): string {
  if (choice === PSEUDO) return PSEUDO;
  if (choice === 'auto') return localeOf(navigator.language, whole);
  const region = new Intl.Locale(localeOf(navigator.language)).region;
  const browser = navigator.languages.find((tag) => languageOf(tag) === choice);
  return browser && browser !== choice ? browser : `${choice}-${region}`;
}

function remembered(): LanguageChoice {
  try {
    const kept = localStorage.getItem(KEY);
    if (kept === PSEUDO) return PSEUDO;
    return LANGUAGES.find((l) => l.id === kept)?.id ?? 'auto';
  } catch {
    return 'auto';
  }
}

function remember(choice: LanguageChoice): void {
  try {
    localStorage.setItem(KEY, choice);
  } catch {
    // Without storage the choice lasts as long as the tab.
  }
}
