import * as say from '@hypogeon/messages/core-plant';
import { memo, memoAround } from '../memo';
import {
  ANY_LOOK,
  CATALOGUE,
  findTaxa,
  type AlsoCalled,
  formOf,
  lookOf,
  methodAs,
  METHODS,
  methodOf,
  pieceDrawn,
  PLANNED_METHODS,
  RECORDED_WAYS,
  withOwnFigures,
  type MethodId,
  type Piece,
  type Taxon,
  type TaxonMethod,
} from '../botany';
import { drawn, type Drawn, type Part } from '../look';
import type { Batch, OwnTaxon, State } from '../journal';

/** A plant as the grower names it, with the figures that stand for it. */
export interface Plant {
  readonly id: string;
  readonly name: string;
  readonly taxon: Taxon;
  /** The library taxon whose figures an own taxon borrows; null where they are its own. */
  readonly like: string | null;
}

const BY_ID: ReadonlyMap<string, Taxon> = new Map(CATALOGUE.map((t) => [t.id, t]));

/** The plant with this id, from the library or of the grower's own making; null if nobody knows it. */
export function plantOf(state: State, id: string): Plant | null {
  const own = state.ownTaxa.get(id);
  const shipped = BY_ID.get(id);
  if (shipped) return { id, name: shipped.name, taxon: withOwn(shipped, own), like: null };
  const like = own?.like === undefined ? undefined : BY_ID.get(own.like);
  if (!own || !like) return null;
  return { id, name: own.name ?? say.unnamedPlant(), taxon: withOwn(like, own), like: like.name };
}

/** The name stays that of the plant whose figures they are: genus and evidence hang on it. */
const overlaid = memoAround<OwnTaxon, Taxon>();

function withOwn(base: Taxon, own: OwnTaxon | undefined): Taxon {
  if (own === undefined) return base;
  const { season, methods, look } = own;
  if (season === undefined && methods === undefined && look === undefined) return base;
  return overlaid(own, [base], () => withOwnFigures(base, { season, methods, look }));
}

/**
 * Why or how a way is taken, and whether the grower wrote it: their words are shown as they are, those that ship in the
 * grower's units.
 */
export function whyOf(
  state: State,
  plant: string,
  method: MethodId,
): { readonly text: string; readonly own: boolean } | null {
  const told = state.ownTaxa.get(plant)?.methods?.find((m) => m.method === method)?.why;
  if (told !== undefined) return { text: told, own: true };
  const taxon = plantOf(state, plant)?.taxon;
  const shipped = taxon && methodOf(taxon, method)?.why;
  return shipped === undefined ? null : { text: shipped, own: false };
}

/** All plants that can be chosen, own ones first. */
export function plants(state: State): readonly Plant[] {
  const own = [...state.ownTaxa.keys()]
    .filter((id) => !BY_ID.has(id))
    .map((id) => plantOf(state, id));
  const library = CATALOGUE.map((taxon) => plantOf(state, taxon.id));
  return [...own, ...library].filter((p): p is Plant => p !== null);
}

/** The plant of that very name, or the only one that answers to what is typed; null where several do, or none. */
export function plantCalled(
  known: readonly Plant[],
  text: string,
  called?: AlsoCalled,
): Plant | null {
  const typed = text.trim().toLowerCase();
  const named = known.find((p) => p.name.toLowerCase() === typed);
  if (named || typed.length < 3) return named ?? null;
  const [only, ...more] = findTaxa(known.map(asTaxon), typed, called);
  return more.length > 0 ? null : (known.find((p) => p.id === only?.id) ?? null);
}

/** A plant under the grower's own id and name: what a field offers, and finds. */
export const asTaxon = ({ id, name, taxon }: Plant): Taxon => ({ ...taxon, id, name });

/** All ways something can be put down as taken: those of the plant first, then all others, as what was done was done. */
export function waysTaken(
  taxon: Taxon | null,
): readonly { readonly method: MethodId; readonly usual: boolean }[] {
  const of = taxon?.methods.map((m) => m.method) ?? [];
  return [...of, ...METHODS.filter((m) => !of.includes(m))].map((method) => ({
    method,
    usual: of.length === 0 || of.includes(method) || !PLANNED_METHODS.includes(method),
  }));
}

/** What the library knows of propagating this batch's plant this way. */
export function figuresOf(state: State, batch: Batch): TaxonMethod | null {
  const plant = plantOf(state, batch.taxon);
  const listed = plant ? methodOf(plant.taxon, batch.method) : undefined;
  const figures = listed ?? RECORDED_WAYS[batch.method] ?? null;
  return figures && batch.opening === 'broken' ? broken(figures) : figures;
}

/** A leaf that left its base on the stem roots so seldom, against a whole one. Working assumption; 0.1–0.5. */
const BROKEN_SHARE = 0.3;

const broken = memo((whole: TaxonMethod): TaxonMethod => ({
  ...whole,
  success: { ...whole.success, mean: whole.success.mean * BROKEN_SHARE },
}));

/** The shape a batch is drawn in: told for its plant and way, else as the plant is built. */
export function pieceOf(state: State, batch: Batch): Piece {
  const plant = plantOf(state, batch.taxon);
  return (
    figuresOf(state, batch)?.piece ?? pieceDrawn(batch.method, plant ? formOf(plant.taxon) : null)
  );
}

/** How a batch is drawn: the piece it was cut as, of that very plant. */
export function drawnOf(state: State, batch: Batch): Drawn {
  const plant = plantOf(state, batch.taxon);
  // A whole strap is told as one: only a section of it is cut across.
  const part = batch.method === 'leaf' ? 'leaf' : pieceOf(state, batch);
  return drawn(plant ? lookOf(plant.taxon) : ANY_LOOK, part);
}

/** How a piece of a plant is drawn, before there is a batch. */
export const drawnAs = (taxon: Taxon, { method, piece }: TaxonMethod): Drawn =>
  drawn(lookOf(taxon), method === 'leaf' ? 'leaf' : (piece ?? pieceDrawn(method, formOf(taxon))));

/** What comes off the plant, for where the blade goes on its drawing: a division is parted as an offset is. */
export const takenAs = (taxon: Taxon, way: TaxonMethod): Part =>
  way.method === 'division' ? 'offset' : drawnAs(taxon, way).part;

/** A whole plant, drawn. */
export const plantDrawn = (taxon: Taxon | null | undefined): Drawn =>
  drawn(taxon ? lookOf(taxon) : ANY_LOOK, 'plant');

/**
 * Who a batch is of: the grower's own name of the mother or the plant where there is one, else its genus.
 * `Jelly beans`, `Hall snake`, `Sedum`.
 */
export function nameOf(state: State, batch: Batch): string {
  const own = state.mothers.get(batch.mother ?? '')?.name ?? state.ownTaxa.get(batch.taxon)?.name;
  // “Jelly beans, long trough”: where she stands is not who she is.
  const name = own?.split(',')[0]?.trim();
  if (name !== undefined && name !== '') return name;
  return (plantOf(state, batch.taxon)?.name ?? say.unknownPlant()).split(' ')[0]!;
}

/** What a batch is called: `Hall snake, sections`; `Sedum leaves` where only the genus is known. */
export function batchTitle(state: State, batch: Batch): string {
  const plant = plantOf(state, batch.taxon);
  const { one, many } = methodAs(plant?.taxon ?? null, batch.method);
  const name = nameOf(state, batch);
  const genus = (plant?.name ?? '').split(' ')[0] === name;
  return `${name}${genus ? '' : ','} ${batch.count === 1 ? one : many}`;
}

/** Letters and digits that are not mistaken for one another when written on a stake. */
const CODE_SIGNS = '234679ACDEFGHJKMNPQRTUVWXYZ';

/** A short code to write on the label, `ECH-7K4`: from the plant and the batch's id, so it never changes. */
export function batchCode(state: State, batch: Batch): string {
  const name = plantOf(state, batch.taxon)?.name ?? say.unknown();
  let hash = 2166136261;
  for (const char of batch.id) hash = Math.imul(hash ^ char.charCodeAt(0), 16777619);
  let code = '';
  for (let rest = hash >>> 0; code.length < 3; rest = Math.floor(rest / CODE_SIGNS.length))
    code += CODE_SIGNS[rest % CODE_SIGNS.length]!;
  return `${name.slice(0, 3).toUpperCase()}-${code}`;
}
