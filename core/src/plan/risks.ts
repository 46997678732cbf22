import * as say from '@hypogeon/messages/core-risks';
import { plannedClock, plantOf, seasonOn } from '../bench';
import { methodAs, type TaxonMethod } from '../botany';
import { daysBetween } from '../days';
import type { State } from '../journal';
import { usualSchool } from '../wound';
import type { Wish } from './wish';

/** A wound that is open longer than this is a worry of its own, days. Working assumption. */
const LONG_OPEN_DAYS = 10;

/** What may go wrong by a method, in a few words each, gravest first. */
export function risksOf(state: State, wish: Wish, figures: TaxonMethod): readonly string[] {
  const plant = plantOf(state, wish.taxon);
  if (!plant) return [];
  const risks: string[] = [];
  const season = seasonOn(state, plant.taxon, wish.space, wish.cutOn);
  if (season.state !== 'active') risks.push(season.reason);
  if (figures.worth === 'poor' && figures.why) risks.push(figures.why.replace(/\.$/, ''));
  const { wound, method } = figures;
  if (wound) {
    const clock = plannedClock(state, {
      ...wish,
      method,
      widthMm: wound.widthMm,
      thicknessMm: wound.thicknessMm,
      school: usualSchool(wound, state.settings.school),
      callusAt: 'rack',
      callusSpace: wish.space,
    });
    if (clock?.gate.state === 'stopped') risks.push(say.itsWoundDoesNot());
    else if (clock?.gate.state === 'dated') {
      const days = daysBetween(wish.cutOn, clock.gate.latest);
      if (days > LONG_OPEN_DAYS) risks.push(say.theWoundMayStay({ days }));
    }
  }
  if (methodAs(plant.taxon, method).polarity === 'base down') risks.push(say.upsideDownItNever());
  if (method === 'leaf-section') risks.push(say.variegatedEdgesAreLost());
  return risks;
}
