import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Drawn, Part } from '@hypogeon/core/look';
import { mount } from '../../testing/mount';
import { Theme } from '../data/theme';
import { flattened } from './flattened';
import { FRESH, type MarkState } from './mark-state';
import { Stamp } from './stamp';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Stamp],
  template: `
    @for (state of states; track $index) {
      <img alt="" [hyStamp]="piece" [state]="state" [size]="40" />
    }
  `,
})
class Tray {
  piece: Drawn | Part = 'leaf';
  states: readonly MarkState[] = [FRESH, { ...FRESH }, { ...FRESH, lost: 'rotted' }];
}

const pictureOf = (img: HTMLElement): Document => {
  const src = img.getAttribute('src')!;
  expect(src).toMatch(/^data:image\/svg\+xml,/);
  const text = decodeURIComponent(src.slice('data:image/svg+xml,'.length));
  const picture = new DOMParser().parseFromString(text, 'image/svg+xml');
  expect(picture.querySelector('parsererror')).toBeNull();
  return picture;
};

describe('marks as pictures', () => {
  const open = async (): Promise<readonly HTMLElement[]> => {
    const page = await mount(Tray, {}, []);
    await page.settle();
    await page.settle();
    return page.all('img');
  };

  it('like ones are one picture, drawn once; others are not', async () => {
    const [a, b, c] = await open();
    expect(a!.getAttribute('src')).toBe(b!.getAttribute('src'));
    expect(c!.getAttribute('src')).not.toBe(a!.getAttribute('src'));
    expect(a!.getAttribute('alt')).toBe('');
  });

  it('stand alone: strokes in the place of what they use, of their own size', async () => {
    const [fresh, , rotted] = await open();
    for (const img of [fresh!, rotted!]) {
      const picture = pictureOf(img);
      expect(picture.querySelector('use')).toBeNull();
      expect(picture.documentElement.getAttribute('width')).toBe('40');
      expect(picture.documentElement.getAttribute('viewBox')).toBe('0 0 64 64');
      expect(picture.querySelectorAll('g > path').length).toBeGreaterThan(0);
    }
  });

  it('nothing of the drawing stays in the page', async () => {
    await open();
    expect(document.querySelectorAll('body > :not(#hy-drawings) svg .wound')).toHaveLength(0);
  });

  it('are drawn anew when the theme changes', async () => {
    await open();
    const changed = jest.spyOn(XMLSerializer.prototype, 'serializeToString');
    TestBed.inject(Theme).choice.set('lamp');
    TestBed.tick();
    for (let i = 0; i < 5; i++) await new Promise((go) => setTimeout(go));
    // Two different ones.
    expect(changed).toHaveBeenCalledTimes(2);
  });
});

describe('a drawing that stands alone', () => {
  const SVG = 'http://www.w3.org/2000/svg';
  const put = (html: string): SVGElement => {
    document.body.innerHTML = `<svg id="there" xmlns="${SVG}">${html}</svg>`;
    return document.querySelector('#there .mark')!;
  };
  afterEach(() => (document.body.innerHTML = ''));

  it('takes along what it uses and the hatching it is filled with, once', () => {
    const mark = put(
      `<pattern id="rot"><line x1="1" style="stroke: rgb(9, 8, 7)" /></pattern>
       <g id="leaf"><path d="M0 0H9" style="fill: url(#rot)" /><path d="M0 9H9" style="fill: url(#rot)" /></g>
       <svg class="mark" viewBox="0 0 64 64"><use href="#leaf" transform="scale(2)" class="piece" /></svg>`,
    );
    const text = flattened(mark, 40);
    const picture = new DOMParser().parseFromString(text, 'image/svg+xml');
    expect(picture.querySelectorAll('defs > pattern[id=rot]')).toHaveLength(1);
    expect(picture.querySelector('pattern line')!.getAttribute('stroke')).toBe('rgb(9, 8, 7)');
    expect(picture.querySelector('g[transform="scale(2)"]')!.children).toHaveLength(2);
    expect(text).not.toContain('class=');
  });
});
