import type { Taxon } from './taxon';

/** How much light a plant of this kind wants once it grows. */
export type LightNeed = 'shade' | 'bright' | 'sun';

/**
 * By genus; all others like full sun when hardened. Common practice, no source.
 */
const NEED: Readonly<Record<string, LightNeed>> = {
  Haworthia: 'bright',
  Haworthiopsis: 'bright',
  Gasteria: 'bright',
  Dracaena: 'bright',
  Zamioculcas: 'shade',
  Peperomia: 'bright',
  Hoya: 'bright',
  Ceropegia: 'bright',
  Schlumbergera: 'shade',
  Rhipsalis: 'shade',
  Disocactus: 'bright',
  Epiphyllum: 'bright',
  Curio: 'bright',
  Stapelia: 'bright',
  Huernia: 'bright',
  Orbea: 'bright',
  Ledebouria: 'bright',
  Hatiora: 'shade',
  Saxifraga: 'bright',
  Haberlea: 'shade',
  Ramonda: 'shade',
  Jancaea: 'shade',
  Primulina: 'shade',
};

export function lightNeedOf({ name }: Pick<Taxon, 'name'>): LightNeed {
  return NEED[name.split(' ')[0]!] ?? 'sun';
}

/** Where light falls, the dimmest first. */
export const LIGHT_PLACES = [
  'bright-shade',
  'window',
  'morning',
  'half-day',
  'noon-shade',
  'sun',
] as const;
export type LightPlace = (typeof LIGHT_PLACES)[number];

export interface LightStep {
  /** Days after roots are seen. */
  readonly afterDays: number;
  readonly to: LightPlace;
}

/** From shade to its place over two weeks. Common practice, no source. */
export function lightSteps(need: LightNeed): readonly LightStep[] {
  const steps: LightStep[] = [{ afterDays: 0, to: 'bright-shade' }];
  if (need === 'shade') return [...steps, { afterDays: 14, to: 'window' }];
  steps.push({ afterDays: 4, to: 'morning' });
  if (need === 'bright') return [...steps, { afterDays: 14, to: 'noon-shade' }];
  return [...steps, { afterDays: 9, to: 'half-day' }, { afterDays: 14, to: 'sun' }];
}
