import { computed, DOCUMENT, effect, inject, Injectable, signal } from '@angular/core';

export const THEMES = ['auto', 'noon', 'lamp'] as const;
export type ThemeChoice = (typeof THEMES)[number];

const KEY = 'hypogeon.theme';

/** Noon in the sun, Lamp in a dim lean-to. Of the device, not of the journal: a phone outdoors wants Noon while the laptop has Lamp. */
@Injectable({ providedIn: 'root' })
export class Theme {
  private readonly root = inject(DOCUMENT).documentElement;
  private readonly dark = matchMedia('(prefers-color-scheme: dark)');
  private readonly systemDark = signal(this.dark.matches);

  readonly choice = signal<ThemeChoice>(remembered());

  /** What is on screen. */
  readonly shown = computed(() => {
    const choice = this.choice();
    if (choice !== 'auto') return choice;
    return this.systemDark() ? 'lamp' : 'noon';
  });

  constructor() {
    this.dark.addEventListener('change', () => this.systemDark.set(this.dark.matches));
    effect(() => {
      this.root.dataset.theme = this.shown();
      remember(this.choice());
    });
  }
}

function remembered(): ThemeChoice {
  try {
    const kept = localStorage.getItem(KEY);
    return THEMES.find((t) => t === kept) ?? 'auto';
  } catch {
    return 'auto';
  }
}

function remember(choice: ThemeChoice): void {
  try {
    localStorage.setItem(KEY, choice);
  } catch {
    // Without storage the choice lasts as long as the tab.
  }
}
