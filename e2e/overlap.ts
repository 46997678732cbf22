import type { Page } from '@playwright/test';

/**
 * Texts of a page that lie on each other, box by box: each as `one × other`.
 * Drawings and charts place their own words; what floats above the page on purpose (bars, snack bars) is not of it.
 */
export const overlaps = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const APART =
      'svg, canvas, script, style, noscript, .cdk-visually-hidden, .mdc-notched-outline';
    const seen = (e: Element): boolean =>
      e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && !e.closest(APART);
    interface Around {
      readonly floats: boolean;
      readonly l: number;
      readonly t: number;
      readonly r: number;
      readonly b: number;
    }
    const known = new Map<Element, Around>();
    /** What the boxes around a text leave of it, and whether one of them floats above the page. */
    const around = (e: Element | null): Around => {
      if (!e) return { floats: false, l: -1e9, t: -1e9, r: 1e9, b: 1e9 };
      const before = known.get(e);
      if (before) return before;
      const up = around(e.parentElement);
      const { position, overflowX } = getComputedStyle(e);
      const floats = up.floats || position === 'fixed' || position === 'sticky';
      const own = overflowX === 'visible' ? null : e.getBoundingClientRect();
      const here = own
        ? {
            floats,
            l: Math.max(up.l, own.left),
            t: Math.max(up.t, own.top),
            r: Math.min(up.r, own.right),
            b: Math.min(up.b, own.bottom),
          }
        : { ...up, floats };
      known.set(e, here);
      return here;
    };
    const root = document.querySelector('main')!;
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
    const lines: { readonly text: string; readonly node: Node; readonly box: DOMRect }[] = [];
    while (walker.nextNode()) {
      const node = walker.currentNode as Text;
      const of = node.parentElement!;
      if (node.data.trim() === '' || !seen(of)) continue;
      const { floats, l, t, r, b } = around(of);
      if (floats) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects()) {
        const [left, top] = [Math.max(l, rect.left), Math.max(t, rect.top)];
        const box = new DOMRect(
          left,
          top,
          Math.min(r, rect.right) - left,
          Math.min(b, rect.bottom) - top,
        );
        if (box.width > 3 && box.height > 3)
          lines.push({ text: node.data.trim().slice(0, 40), node, box });
      }
    }
    lines.sort((a, b) => a.box.top - b.box.top);
    const found = new Set<string>();
    for (const [i, a] of lines.entries())
      for (let j = i + 1; j < lines.length && lines[j]!.box.top < a.box.bottom; j++) {
        const b = lines[j]!;
        if (a.node === b.node) continue;
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        // Boxes of lines set close reach into each other by their empty rims: letters touch only further in.
        if (wide > 3 && high > 0.35 * Math.min(a.box.height, b.box.height))
          found.add(`${a.text} × ${b.text}`);
      }
    return [...found];
  });
