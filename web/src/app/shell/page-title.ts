import { effect, inject, Injectable } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { TitleStrategy, type RouterStateSnapshot } from '@angular/router';

@Injectable()
export class PageTitle extends TitleStrategy {
  private readonly title = inject(Title);

  override updateTitle(snapshot: RouterStateSnapshot): void {
    const page = this.buildTitle(snapshot);
    this.title.setTitle(titled(page ?? ''));
  }
}

/** A page that is about one thing is titled by it, and goes with it. Called where one injects. */
export function namePage(name: () => string): void {
  const title = inject(Title);
  effect(() => {
    const told = name();
    if (told !== '') title.setTitle(titled(told));
  });
}

const titled = (page: string): string => (page === '' ? 'Hypogeon' : `${page} · Hypogeon`);
