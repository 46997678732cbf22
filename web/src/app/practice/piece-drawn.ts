import { drawnAs } from '@hypogeon/core/bench';
import { CATALOGUE, methodOf } from '@hypogeon/core/botany';
import type { Drawn } from '@hypogeon/core/look';
import type { Scenario } from '@hypogeon/core/practice';

/** A piece of the plant a bench is played with. */
export function pieceDrawn({ batch: { taxon, method } }: Scenario): Drawn {
  const plant = CATALOGUE.find((t) => t.id === taxon)!;
  return drawnAs(plant, methodOf(plant, method!)!);
}
