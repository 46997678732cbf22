import type { Page } from '@playwright/test';

/** A browser without a screen now and then stops to draw, and then no click finds its place: a picture wakes it. */
export async function awake(page: Page): Promise<void> {
  for (let tries = 0; tries < 3; tries++) {
    const drawn = page.evaluate(
      () => new Promise<boolean>((r) => requestAnimationFrame(() => r(true))),
    );
    const late = new Promise<boolean>((r) => setTimeout(() => r(false), 10_000));
    if (await Promise.race([drawn, late])) return;
    await page.screenshot();
  }
}
