import {
  ApplicationRef,
  createComponent,
  DOCUMENT,
  effect,
  EnvironmentInjector,
  inject,
  Injectable,
  signal,
  untracked,
  type Signal,
  type WritableSignal,
} from '@angular/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import { Theme } from '../data/theme';
import { CuttingMark } from './cutting-mark';
import { DrawingDefs } from './drawing-defs';
import { flattened } from './flattened';
import type { MarkState } from './mark-state';

/**
 * Marks as pictures: a tray of two hundred cuttings has a handful of different ones, each is drawn once and painted
 * two hundred times. Sharp at every size; drawn anew when the theme changes.
 */
@Injectable({ providedIn: 'root' })
export class Stamps {
  private readonly app = inject(ApplicationRef);
  private readonly injector = inject(EnvironmentInjector);
  private readonly document = inject(DOCUMENT);
  private readonly defs = inject(DrawingDefs);
  private readonly theme = inject(Theme);
  private readonly known = new Map<Drawn | Part, Map<string, Stamped>>();

  constructor() {
    effect(() => {
      this.theme.shown();
      untracked(() => {
        for (const stamps of this.known.values())
          for (const stamp of stamps.values()) void this.draw(stamp);
      });
    });
  }

  /** The address of the picture; empty until it is drawn. */
  of(piece: Drawn | Part, state: MarkState, size: number): Signal<string> {
    let stamps = this.known.get(piece);
    if (!stamps) this.known.set(piece, (stamps = new Map<string, Stamped>()));
    const key = JSON.stringify([state, size]);
    let stamp = stamps.get(key);
    if (!stamp) {
      stamps.set(key, (stamp = { piece, state, size, picture: signal('') }));
      // Drawing was out of reach: who asks next tries again.
      void this.draw(stamp).then((drawn) => drawn || stamps.delete(key));
    }
    return stamp.picture.asReadonly();
  }

  /** @returns whether it could be drawn */
  private async draw({ piece, state, size, picture }: Stamped): Promise<boolean> {
    // A mark is a component: it is made after the round of changes that asks for it.
    await Promise.resolve();
    const mark = createComponent(CuttingMark, { environmentInjector: this.injector });
    const host = mark.location.nativeElement as HTMLElement;
    try {
      mark.setInput('piece', piece);
      mark.setInput('state', state);
      mark.setInput('size', size);
      // Rendered, as only then its colours are known, but neither seen nor read.
      host.style.cssText = 'position:absolute;top:0;left:0;visibility:hidden';
      this.document.body.append(host);
      this.app.attachView(mark.hostView);
      mark.changeDetectorRef.detectChanges();
      await this.defs.drawn();
      const svg = host.querySelector('svg')!;
      if (!this.isDrawn(svg)) return false;
      picture.set(`data:image/svg+xml,${encodeURIComponent(flattened(svg, size))}`);
      return true;
    } finally {
      mark.destroy();
      host.remove();
    }
  }

  private isDrawn(svg: SVGElement): boolean {
    return [...svg.querySelectorAll('use')].every((use) =>
      this.document.querySelector(use.getAttribute('href')!)?.hasChildNodes(),
    );
  }
}

interface Stamped {
  readonly piece: Drawn | Part;
  readonly state: MarkState;
  readonly size: number;
  readonly picture: WritableSignal<string>;
}
