import * as say from '@hypogeon/messages/core-every-way';
import { METHODS, PLANNED_METHODS, type MethodId } from './method';
import type { Taxon } from './taxon';

/** How a plant takes a method. */
export interface Standing {
  readonly method: MethodId;
  readonly is: 'good' | 'poor' | 'no';
  readonly why: string;
}

/** What it wants for a method that most plants do not have. */
const LACKS: Readonly<Record<MethodId, string>> = {
  get leaf() {
    return say.noShootIsKnown();
  },
  get 'leaf-section'() {
    return say.itsLeavesDoNot();
  },
  get crown() {
    return say.itHasNoStem();
  },
  get segment() {
    return say.bareStemOfIt();
  },
  get trailing() {
    return say.itDoesNotTrail();
  },
  get branch() {
    return say.itHasNoWoody();
  },
  get pad() {
    return say.itHasNoPads();
  },
  get column() {
    return say.itDoesNotGrow();
  },
  get offset() {
    return say.itMakesNoOffsets();
  },
  get 'rooted-offset'() {
    return say.itMakesNoOffsetsWith();
  },
  get division() {
    return say.itDoesNotGrowIn();
  },
  get plantlet() {
    return say.itBearsNoPlantlets();
  },
  get 'root-cutting'() {
    return say.itsRootsAreNot();
  },
  get bulbil() {
    return say.itBearsNoBulbils();
  },
  get 'flower-stalk'() {
    return say.itsFlowerStalksDo();
  },
  get seed() {
    return say.recordedNotPlanned();
  },
  get culture() {
    return say.recordedNotPlanned();
  },
};

/** Every method for a plant: possible, poor or no, and why. Common practice, no source. */
export function everyWay(taxon: Taxon): readonly Standing[] {
  const known = METHODS.filter(
    (m) => PLANNED_METHODS.includes(m) || taxon.methods.some((w) => w.method === m),
  );
  return known.map((method) => {
    const way = taxon.methods.find((m) => m.method === method);
    if (way) return { method, is: way.worth, why: way.why ?? '' };
    return {
      method,
      is: 'no' as const,
      why: taxon.not.find((n) => n.method === method)?.why ?? LACKS[method],
    };
  });
}
