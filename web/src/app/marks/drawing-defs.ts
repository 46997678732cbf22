import { DestroyRef, DOCUMENT, inject, Injectable } from '@angular/core';
import type { Shape } from '@hypogeon/core/draw';
import {
  drawn,
  FINE_FROM,
  TONES,
  type Drawn,
  type Look,
  type SignPicture,
} from '@hypogeon/core/look';
import { drawingStyles, strokeClass } from './drawing-styles';

type Pencil = typeof import('@hypogeon/core/draw');

/** So long at a time things are drawn: a tap is heard within a blink, and the page is not painted after each few. */
const SLICE_MS = 36;

const SVG = 'http://www.w3.org/2000/svg';

/**
 * Drawings of plants and their pieces, each kept once in the page: a tray of two hundred leaves is one leaf, used two
 * hundred times. Colours hang on the theme and, where a mark says so, on what became of the piece.
 */
@Injectable({ providedIn: 'root' })
export class DrawingDefs {
  private readonly document = inject(DOCUMENT);
  private readonly ids = new Map<Drawn, Map<string, string>>();
  private holder: SVGElement | null = null;
  private drawings = 0;
  private drawing: Promise<void> | null = null;
  private readonly waiting: ((pencil: Pencil) => void)[] = [];

  constructor() {
    inject(DestroyRef).onDestroy(() => this.holder?.remove());
  }

  /** The id of a piece in the field of a mark. */
  piece(of: Drawn, size: number): string {
    return this.kept(of, size < FINE_FROM ? 'small' : 'piece', ({ drawPiece }) =>
      drawPiece(of.look, of.part, size),
    );
  }

  /** The id of a plant in a field of its own. */
  plant(of: Drawn, size: number): string {
    return this.kept(
      of,
      size < FINE_FROM ? 'small plant' : 'plant',
      ({ drawPlant }) => drawPlant(of.look, size).shapes,
    );
  }

  /** The id of the lines along which a piece comes off its plant, in the field of the plant. */
  blade(of: Drawn): string {
    return this.keptAs(of, 'blade', ({ bladeLines }) =>
      bladeLines(of.look, of.part).map(({ from, to }) =>
        this.element('path', {
          d: `M${from.join(' ')}L${to.join(' ')}`,
          style:
            'fill:none;stroke:var(--do);stroke-width:2.6px;stroke-dasharray:5 3;stroke-linecap:butt;vector-effect:non-scaling-stroke',
        }),
      ),
    );
  }

  /** The id of a sign on a plant. */
  sign(look: Look, sign: SignPicture, size: number): string {
    return this.kept(drawn(look, 'plant'), sign, ({ drawSign }) => drawSign(look, sign, size));
  }

  /** Until all that was asked for so far is drawn, or could not be. */
  async drawn(): Promise<void> {
    await this.drawing;
  }

  private kept(of: Drawn, how: string, draw: (pencil: Pencil) => readonly Shape[]): string {
    const small = how.startsWith('small');
    return this.keptAs(of, how, (pencil) => this.paths(draw(pencil), small));
  }

  private keptAs(of: Drawn, how: string, draw: (pencil: Pencil) => readonly SVGElement[]): string {
    let known = this.ids.get(of);
    if (!known) this.ids.set(of, (known = new Map<string, string>()));
    let id = known.get(how);
    if (id === undefined) {
      id = `hy-drawn-${this.drawings++}`;
      known.set(how, id);
      const group = this.element('g', { id });
      this.place().append(group);
      this.waiting.push((pencil) => group.append(...draw(pencil)));
      this.drawing ??= this.drawWaiting();
    }
    return id;
  }

  /**
   * How things are drawn comes when something is to be drawn, and no page waits for it: in the order they were asked
   * for, some at a time, so that a tap is heard between them.
   */
  private async drawWaiting(): Promise<void> {
    try {
      const pencil = await import('@hypogeon/core/draw');
      while (this.waiting.length > 0) {
        const until = performance.now() + SLICE_MS;
        while (this.waiting.length > 0 && performance.now() < until) this.waiting.shift()!(pencil);
        if (this.waiting.length > 0) await new Promise((go) => setTimeout(go));
      }
    } catch {
      // Out of reach for now: pages stand without pictures, and the next one that is asked for tries again.
    } finally {
      this.drawing = null;
    }
  }

  private paths(shapes: readonly Shape[], small: boolean): readonly SVGElement[] {
    return shapes.map(({ d, fill, line, width }) =>
      this.element('path', {
        d,
        class: strokeClass(fill, line),
        'stroke-width': String(small ? width * 0.62 : width),
      }),
    );
  }

  private element(
    name: 'svg' | 'g' | 'path',
    attributes: Readonly<Record<string, string>>,
  ): SVGElement {
    const element = this.document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
    return element;
  }

  private place(): SVGElement {
    if (!this.holder) {
      this.holder = this.element('svg', {
        id: 'hy-drawings',
        width: '0',
        height: '0',
        'aria-hidden': 'true',
      });
      // Only what uses a drawing is styled and laid out, not the drawing that is kept.
      this.holder.style.display = 'none';
      const styles = this.document.createElementNS(SVG, 'style');
      styles.textContent = drawingStyles(TONES);
      this.holder.append(styles);
      this.document.body.append(this.holder);
    }
    return this.holder;
  }
}
