import { fillPot, mediumOf, RECIPES, SHELF, USUAL_CONTAINERS } from '@hypogeon/core/media';
import { columnOf, dry, evenly, fillOf, water, waterIn, type Wetness } from '@hypogeon/core/water';
import { truthAt } from './truth';

const STEP = 600;
/** Somebody waters it before it is quite dry. */
const WATERED_AT = 0.3;
const EMPTY_G = 22;

const recipe = RECIPES.find((r) => r.id === 'two-to-one')!;
const pot = fillPot(
  mediumOf(
    recipe.parts.map(([id, parts]) => ({ component: SHELF.find((c) => c.id === id)!, parts })),
  ),
  USUAL_CONTAINERS.find((c) => c.id === 'pot-7')!,
);
const column = columnOf(pot);

/** The simulated pot on the scale: it dries by the same model as everybody's, a little faster. */
export class ScalePot {
  private wetness: Wetness;
  private at: number;

  constructor(
    from: number,
    private readonly pace = 1.15,
  ) {
    this.at = Math.floor(from / STEP) * STEP;
    this.wetness = evenly(column, 0.95);
  }

  /** Weight at a time, g; times must not run backwards. */
  gramsAt(seconds: number): number {
    for (; this.at + STEP <= seconds; this.at += STEP) {
      const { evaporationMm } = truthAt(this.at);
      this.wetness = dry(column, this.wetness, evaporationMm, (STEP / 86_400) * this.pace).wetness;
      if (fillOf(column, this.wetness) < WATERED_AT)
        this.wetness = water(column, this.wetness, 'soaked').wetness;
    }
    return EMPTY_G + pot.dryG + waterIn(column, this.wetness) / 1000;
  }
}
