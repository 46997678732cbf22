import { build } from 'esbuild';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { forecastOf, rehearse, whatIf, whatMatters } from '@hypogeon/core/rehearse';
import { DAY, expect, test } from './bench-test';

/** A play whose every figure is compared: by its own course, a batch of the demo that waits and one that is over. */
function plays() {
  const state = fold(demoJournal(DAY));
  return ['b-19', 'b-22', 'b-13'].map((id) => {
    const asked = whatIf(state, state.batches.get(id)!, DAY);
    if ('problem' in asked) throw new Error(`${id}: ${asked.problem}`);
    return { ...asked, cuttings: 300, seed: 7 };
  });
}
const ROT = { factor: 1, low: 0.3, high: 3 };

test('the same seed gives the same figures in Node and in Chromium', async ({ page }) => {
  test.slow();
  const { outputFiles } = await build({
    entryPoints: ['core/src/rehearse/index.ts'],
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'played',
    target: 'es2022',
  });
  await page.goto('/');
  await page.evaluate(outputFiles[0]!.text + ';globalThis.played = played;');
  for (const input of plays()) {
    const [strategy] = input.strategies as [(typeof input.strategies)[number]];
    const asked = { strategy, days: input.days, seed: 3 };
    const there = await page.evaluate(
      ([play, one, rot]) => {
        const core = (globalThis as unknown as { played: Core }).played;
        return {
          rehearsal: core.rehearse(play),
          forecast: core.forecastOf({ ...one, cuttings: 9, rot }),
          matters: core.whatMatters(one),
        };
      },
      [input, asked, ROT] as const,
    );
    // Through JSON, as it came across.
    const here = JSON.parse(
      JSON.stringify({
        rehearsal: rehearse(input),
        forecast: forecastOf({ ...asked, cuttings: 9, rot: ROT }),
        matters: whatMatters(asked),
      }),
    ) as unknown;
    expect(there).toEqual(here);
  }
});

interface Core {
  rehearse: typeof rehearse;
  forecastOf: typeof forecastOf;
  whatMatters: typeof whatMatters;
}

test('a plan is tried, its forecast kept, recorded with it, and stands open in Results', async ({
  page,
}) => {
  await page.goto('/#/plan?mother=m-aeon');
  await page.getByRole('link', { name: 'Try it first' }).click();
  await expect(page.getByText(/\d+ of 100 rooted/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Keep a forecast with the plan' }).click();
  await expect(page.getByText(/Forecast: \d+% of \d+ with roots/)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await expect(page.getByText(/Forecast: .* Kept with this plan/)).toBeVisible();
  await page.getByLabel('How many', { exact: true }).fill('4');
  // The plan changed: what was said of it holds no longer.
  await expect(page.getByText(/Kept with this plan/)).toBeHidden();
  await page.getByRole('link', { name: 'Try it first' }).click();
  await page.getByRole('button', { name: 'Keep a forecast with the plan' }).click();
  await expect(page.getByText(/Forecast: \d+% of 4 with roots/)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await page.getByRole('button', { name: /^Put .* on the bench$/ }).click();
  await expect(page.getByText('on the bench').first()).toBeVisible();
  await page.goto('/#/results/forecasts');
  await expect(page.getByRole('row', { name: /tall aeonium, crowns.*of 4/ }).first()).toContainText(
    'open until',
  );
});

test('from a batch one asks what if, and comes back', async ({ page }) => {
  await page.goto('/#/bench/b-22');
  await page.getByRole('link', { name: 'What if …' }).click();
  await expect(page.getByRole('heading', { name: 'Watered today', exact: true })).toBeVisible();
  await expect(page.getByText(/of 2,000 cuttings/)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the batch' }).click();
  await expect(page).toHaveURL(/bench\/b-22$/);
  await page.goto('/#/results/learned');
  await page.getByRole('link', { name: /^What if, Jelly beans, leaves/ }).click();
  await expect(page.getByText(/^Really 39 of 48 rooted/)).toBeVisible();
});
