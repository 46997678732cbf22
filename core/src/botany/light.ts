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
};

export function lightNeedOf({ name }: Pick<Taxon, 'name'>): LightNeed {
  return NEED[name.split(' ')[0]!] ?? 'sun';
}

export interface LightStep {
  /** Days after roots are seen. */
  readonly afterDays: number;
  readonly says: string;
}

/** From shade to its place over two weeks. Common practice, no source. */
export function lightSteps(need: LightNeed): readonly LightStep[] {
  const steps: LightStep[] = [{ afterDays: 0, says: 'bright shade, no sun' }];
  if (need === 'shade') return [...steps, { afterDays: 14, says: 'a place near a window, no sun' }];
  steps.push({ afterDays: 4, says: 'an hour of morning sun' });
  if (need === 'bright') return [...steps, { afterDays: 14, says: 'bright light, shaded at noon' }];
  return [
    ...steps,
    { afterDays: 9, says: 'half a day of sun, shaded at noon' },
    { afterDays: 14, says: 'full sun' },
  ];
}
