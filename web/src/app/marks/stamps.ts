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
  private readonly known = new Map<Drawn | Part, Map<string, WritableSignal<string>>>();

  constructor() {
    effect(() => {
      this.theme.shown();
      untracked(() => {
        for (const [piece, stamps] of this.known)
          for (const [key, stamp] of stamps) {
            const { state, size } = JSON.parse(key) as Stamped;
            void this.draw(piece, state, size, stamp);
          }
      });
    });
  }

  /** The address of the picture; empty until it is drawn. */
  of(piece: Drawn | Part, state: MarkState, size: number): Signal<string> {
    let stamps = this.known.get(piece);
    if (!stamps) this.known.set(piece, (stamps = new Map<string, WritableSignal<string>>()));
    const key = JSON.stringify({ state, size } satisfies Stamped);
    let stamp = stamps.get(key);
    if (!stamp) {
      stamps.set(key, (stamp = signal('')));
      void this.draw(piece, state, size, stamp);
    }
    return stamp.asReadonly();
  }

  private async draw(
    piece: Drawn | Part,
    state: MarkState,
    size: number,
    stamp: WritableSignal<string>,
  ): Promise<void> {
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
      if (this.isDrawn(svg))
        stamp.set(`data:image/svg+xml,${encodeURIComponent(flattened(svg, size))}`);
      // Drawing was out of reach: who asks next tries again.
      else this.known.get(piece)?.clear();
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
  readonly state: MarkState;
  readonly size: number;
}
