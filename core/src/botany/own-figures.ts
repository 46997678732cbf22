import * as say from '@hypogeon/messages/core-botany-own-figures';
import { dressed, type OwnLook } from '../look';
import type { Tissue } from '../wound';
import { lookOf } from './look-of';
import type { MethodId } from './method';
import type { Taxon, TaxonMethod, Window } from './taxon';

/** What a grower knows better of a plant than the library. What is left out stays as it was. */
export interface OwnFigures {
  readonly name?: string | undefined;
  readonly family?: string | undefined;
  readonly season?: { readonly fromC: number; readonly toC: number } | undefined;
  readonly methods?: readonly OwnWay[] | undefined;
  readonly look?: OwnLook | undefined;
}

export interface OwnWay {
  readonly method: MethodId;
  readonly worth?: 'good' | 'poor' | 'no' | undefined;
  readonly why?: string | undefined;
  readonly success?: number | undefined;
  readonly roots?: readonly [from: number, to: number] | undefined;
  readonly pups?: readonly [from: number, to: number] | undefined;
  readonly tissue?: Tissue | undefined;
  readonly widthMm?: number | undefined;
}

const OWN = 'measured here' as const;
/** Cuttings that a grower's own figure is worth before any batch has told. Working assumption; 4–20. */
const OWN_WORTH = 8;
/** Where a grower adds a way and does not say how wide its wound is. */
const PLAIN_WOUND = { tissue: 'soft stem', widthMm: 6 } as const;

/** A plant with the grower's own figures over those of the library. */
export function withOwnFigures(taxon: Taxon, own: OwnFigures): Taxon {
  const ways = new Map((own.methods ?? []).map((w) => [w.method, w]));
  const kept = taxon.methods.flatMap((way) => {
    const mine = ways.get(way.method);
    if (!mine) return [way];
    return mine.worth === 'no' ? [] : [overlaid(way, mine)];
  });
  const known = new Set(taxon.methods.map((m) => m.method));
  const added = [...ways.values()].flatMap((w) => (known.has(w.method) ? [] : (addedWay(w) ?? [])));
  const methods = [...kept, ...added];
  const given = new Set(methods.map((m) => m.method));
  return {
    ...taxon,
    ...(own.name === undefined ? {} : { name: own.name }),
    ...(own.family === undefined ? {} : { family: own.family }),
    ...(own.season === undefined
      ? {}
      : { season: { ...taxon.season, ...own.season, evidence: OWN } }),
    ...(own.look === undefined ? {} : { look: dressed(lookOf(taxon), own.look) }),
    methods,
    not: [
      ...taxon.not.filter((n) => !given.has(n.method)),
      ...[...ways.values()]
        .filter((w) => w.worth === 'no')
        .map((w) => ({ method: w.method, why: w.why ?? say.triedHereAndIt() })),
    ],
  };
}

const windowOf = ([from, to]: readonly [number, number]): Window => ({ from, to, evidence: OWN });

function overlaid(way: TaxonMethod, mine: OwnWay): TaxonMethod {
  return {
    ...way,
    ...(mine.worth === 'good' || mine.worth === 'poor' ? { worth: mine.worth } : {}),
    ...(mine.why === undefined ? {} : { why: mine.why }),
    ...(mine.roots ? { roots: windowOf(mine.roots) } : {}),
    ...(mine.pups ? { pups: windowOf(mine.pups) } : {}),
    ...(mine.success === undefined
      ? {}
      : { success: { mean: mine.success, worth: OWN_WORTH, evidence: OWN } }),
    wound:
      way.wound === null || (mine.widthMm === undefined && mine.tissue === undefined)
        ? way.wound
        : {
            ...way.wound,
            tissue: mine.tissue ?? way.wound.tissue,
            widthMm: mine.widthMm ?? way.wound.widthMm,
            evidence: OWN,
          },
  };
}

/** A way the library does not have; null until chance and roots are told. */
function addedWay(mine: OwnWay): TaxonMethod | null {
  if (mine.worth === 'no' || mine.success === undefined || !mine.roots) return null;
  const cuts = mine.method !== 'rooted-offset' && mine.method !== 'plantlet';
  return {
    method: mine.method,
    worth: mine.worth ?? 'good',
    ...(mine.why === undefined ? {} : { why: mine.why }),
    wound: cuts
      ? {
          tissue: mine.tissue ?? PLAIN_WOUND.tissue,
          widthMm: mine.widthMm ?? PLAIN_WOUND.widthMm,
          evidence: OWN,
        }
      : null,
    roots: windowOf(mine.roots),
    pups: mine.pups ? windowOf(mine.pups) : null,
    success: { mean: mine.success, worth: OWN_WORTH, evidence: OWN },
  };
}
