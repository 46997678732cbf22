import * as say from '@hypogeon/messages/core-paper-log';
import { calledJustSo, findTaxa, METHODS, METHOD, type MethodId, type Taxon } from '../botany';
import { plants, placesIn } from '../bench';
import { FIRST_DAY, LAST_DAY, orderTold, readDay, type Day, type DayOrder } from '../days';
import { alsoCalled } from '../names';
import { foldText } from '../text';
import {
  cutText,
  isWhole,
  MOST_NAME,
  sumCounts,
  type BatchFields,
  type Counts,
  type EntryDraft,
  type State,
} from '../journal';
import type { Table } from './weather-csv';

/*
 * Somebody's old paper log, typed into a table: a row is a batch, with what came of it in the end. Every row is
 * read by itself; what it will become is shown before anything is taken.
 */

/** What a column may mean. */
export const PAPER_FIELDS = [
  'taxon',
  'method',
  'date',
  'number',
  'rooted',
  'pupped',
  'rotted',
  'dried',
  'lost',
  'countedOn',
  'mother',
  'place',
  'notes',
] as const;
export type PaperField = (typeof PAPER_FIELDS)[number];

export const PAPER_FIELD_NAME: Readonly<Record<PaperField, string>> = {
  get taxon() {
    return say.taxon();
  },
  get method() {
    return say.method();
  },
  get date() {
    return say.date();
  },
  get number() {
    return say.number();
  },
  get rooted() {
    return say.rooted();
  },
  get pupped() {
    return say.pupped();
  },
  get rotted() {
    return say.rotted();
  },
  get dried() {
    return say.dried();
  },
  get lost() {
    return say.lost();
  },
  get countedOn() {
    return say.countedOn();
  },
  get mother() {
    return say.mother();
  },
  get place() {
    return say.place();
  },
  get notes() {
    return say.notes();
  },
};

/** Which column means what, by its index. */
export interface PaperMapping {
  readonly columns: Readonly<Partial<Record<PaperField, number>>>;
  /** Which of day and month stands first in dates that can be read both ways; empty until it is told. */
  readonly order: DayOrder | '';
  /** For plants the library does not know: the library plant whose figures they borrow, by the name in the log. */
  readonly like: Readonly<Record<string, string>>;
  /** What a row is where its method is not told. */
  readonly method: MethodId | '';
}

/** What a row becomes, or why it becomes nothing. */
export type PaperRow = {
  /** Line of the file, counted from 1, header included. */
  readonly line: number;
} & (
  | {
      readonly ok: true;
      readonly taxon: string;
      /** The name in the log, where the library has no such plant. */
      readonly newPlant: string | null;
      readonly mother: string | null;
      readonly fields: Pick<BatchFields, 'count' | 'cutOn' | 'method' | 'place'>;
      readonly counts: Counts | null;
      readonly countedOn: Day | null;
      readonly notes: string | null;
      /** What was made up, to be said. */
      readonly assumed: readonly string[];
    }
  | { readonly ok: false; readonly field: PaperField; readonly sentence: string }
);

/** Logs are read in these languages besides English: what months, headers and ways are called. */
const LANGUAGES = ['de', 'es'] as const;

/** Words that headers of such logs have, in English, German and Spanish, without their accents. */
const HEADERS: Readonly<Record<PaperField, readonly string[]>> = {
  taxon: [
    ...['taxon', 'plant', 'species', 'name', 'what', 'variety', 'genus'],
    ...['pflanze', 'art', 'sorte', 'gattung', 'planta', 'especie', 'variedad', 'nombre'],
  ],
  method: [
    ...['method', 'how', 'type', 'kind', 'material', 'piece'],
    ...['methode', 'vermehrung', 'metodo', 'tipo', 'material'],
  ],
  date: [
    ...['date', 'cut', 'taken', 'started', 'start', 'day', 'when'],
    ...['datum', 'geschnitten', 'schnitt', 'tag', 'fecha', 'corte', 'cortado', 'dia'],
  ],
  number: [
    ...['number', 'count', 'qty', 'quantity', 'how many', 'total', 'no', 'n', 'taken'],
    ...['anzahl', 'stuck', 'menge', 'wie viele', 'cantidad', 'numero', 'cuantos', 'cuantas'],
  ],
  rooted: [
    ...['rooted', 'roots', 'took', 'success', 'ok', 'alive', 'strike'],
    ...['bewurzelt', 'wurzeln', 'angewachsen', 'enraizados', 'enraizadas', 'raices', 'prendidos'],
  ],
  pupped: [
    ...['pups', 'pupped', 'plantlets', 'babies', 'shoots'],
    ...['kindel', 'austrieb', 'hijuelos', 'brotes'],
  ],
  rotted: ['rotted', 'rot', 'verfault', 'gefault', 'faul', 'podridos', 'podridas', 'pudricion'],
  dried: ['dried', 'dry', 'shrivelled', 'vertrocknet', 'trocken', 'secos', 'secas'],
  lost: [
    ...['lost', 'dead', 'died', 'failed', 'losses'],
    ...['verloren', 'verluste', 'tot', 'eingegangen', 'perdidos', 'perdidas', 'muertos'],
  ],
  countedOn: [
    ...['counted', 'checked', 'date counted', 'potted', 'result date', 'end'],
    ...['gezahlt', 'gezahlt am', 'kontrolliert', 'contado', 'revisado'],
  ],
  mother: [
    ...['mother', 'parent', 'stock', 'source', 'from'],
    ...['mutter', 'mutterpflanze', 'herkunft', 'madre', 'planta madre', 'procedencia'],
  ],
  place: [
    ...['place', 'tray', 'where', 'location', 'pot'],
    ...['platz', 'ort', 'standort', 'schale', 'lugar', 'bandeja', 'sitio'],
  ],
  notes: [
    ...['notes', 'note', 'remarks', 'comment', 'comments'],
    ...['notiz', 'notizen', 'bemerkung', 'bemerkungen', 'notas', 'observaciones'],
  ],
};

/** Guesses the columns by their headers; each column means one thing at most. */
export function guessPaper(table: Table): PaperMapping {
  const heads = table.header.map((h) => foldText(h).trim());
  const used = new Set<number>();
  const columns: Partial<Record<PaperField, number>> = {};
  // A header that is the very word first; then one that holds it.
  for (const fits of [
    (head: string, word: string) => head === word,
    (head: string, word: string) => new RegExp(`\\b${word}\\b`).test(head),
  ])
    for (const field of PAPER_FIELDS) {
      if (columns[field] !== undefined) continue;
      for (const word of HEADERS[field]) {
        const at = heads.findIndex((head, i) => !used.has(i) && fits(head, word));
        if (at < 0) continue;
        columns[field] = at;
        used.add(at);
        break;
      }
    }
  const [order, other] = paperOrders(table, columns);
  return { columns, order: order && !other ? order : '', like: {}, method: '' };
}

/**
 * The orders of day and month that the log leaves open: none where every date can be meant one way only, one where the
 * others tell it, two where the grower must be asked.
 */
export function paperOrders(table: Table, columns: PaperMapping['columns']): readonly DayOrder[] {
  const cells = [columns.date, columns.countedOn].flatMap((at) =>
    at === undefined ? [] : table.rows.map((row) => dateOnly(row[at] ?? '')),
  );
  if (!cells.some(ambiguous)) return [];
  const told = new Set(cells.map(orderTold).filter((order) => order !== null));
  return told.size === 1 ? [...told] : ['dmy', 'mdy'];
}

/** Whether it can be read both ways does not hang on the year it is read in. */
const ambiguous = (text: string): boolean => {
  const read = readDay(text, { today: LAST_DAY });
  return !read.ok && read.why === 'ambiguous';
};

/** A log may tell the hour too. */
const dateOnly = (text: string): string => text.trim().replace(/[T ,]+\d{1,2}[:.]\d{2}.*$/, '');

/** What every row of the log becomes. @param today nothing of a log lies after it */
export function readPaper(
  state: State,
  table: Table,
  mapping: PaperMapping,
  today: Day,
): readonly PaperRow[] {
  const known = plants(state);
  const byName = new Map(known.map((p) => [foldText(p.name), p.id]));
  const taxa = known.map((p) => ({ ...p.taxon, name: p.name, id: p.id }));
  return table.rows.map((row, i) => readRow(row, i + 2, { mapping, byName, taxa, today }));
}

interface Context {
  readonly mapping: PaperMapping;
  readonly byName: ReadonlyMap<string, string>;
  readonly taxa: readonly Taxon[];
  readonly today: Day;
}

/** Why a row is left out; thrown within this file, never out of it. */
class Refused extends Error {
  constructor(
    readonly field: PaperField,
    readonly sentence: string,
  ) {
    super(sentence);
  }
}

function readRow(row: readonly string[], line: number, context: Context): PaperRow {
  const { mapping, today } = context;
  const text = (field: PaperField): string => {
    const at = mapping.columns[field];
    return at === undefined ? '' : (row[at] ?? '').trim();
  };
  const assumed: string[] = [];
  try {
    const plant = plantIn(named(text('taxon'), 'taxon'), context);
    const mother = named(text('mother'), 'mother');
    const method = methodIn(text('method'), mapping.method);
    const cutOn = dayIn(text('date'), 'date', mapping.order, today);
    if (cutOn === null) throw new Refused('date', say.hasNoDay());
    const counts: Counts = {
      rooted: numberIn(text('rooted'), 'rooted') ?? 0,
      pupped: numberIn(text('pupped'), 'pupped') ?? 0,
      rotted: numberIn(text('rotted'), 'rotted') ?? 0,
      dried: numberIn(text('dried'), 'dried') ?? 0,
      lost: numberIn(text('lost'), 'lost') ?? 0,
    };
    const told = (['rooted', 'pupped', 'rotted', 'dried', 'lost'] as const).some(
      (f) => text(f) !== '',
    );
    const given = numberIn(text('number'), 'number');
    if (given === null && sumCounts(counts) === 0)
      throw new Refused('number', say.howManyThereWere());
    const count = given ?? sumCounts(counts);
    if (given === null) assumed.push(say.inAll({ count }));
    if (count < 1) throw new Refused('number', say.hasNone());
    if (count > 10_000) throw new Refused('number', say.hasTooMany({ count }));
    if (counts.pupped > counts.rooted && counts.rooted > 0 && sumCounts(counts) > count)
      throw new Refused('pupped', say.morePupped({ pupped: counts.pupped, rooted: counts.rooted }));
    // A log counts those with pups among the rooted; the journal counts them apart.
    const apart =
      counts.pupped > 0 && counts.rooted >= counts.pupped
        ? { ...counts, rooted: counts.rooted - counts.pupped }
        : counts;
    if (sumCounts(apart) > count)
      throw new Refused('number', say.tellsOf({ outcomes: sumCounts(apart), count }));
    const countedOn = told
      ? (dayIn(text('countedOn'), 'countedOn', mapping.order, today) ?? null)
      : null;
    if (countedOn !== null && countedOn < cutOn)
      throw new Refused('countedOn', say.countedBeforeCut());
    if (told && countedOn === null) assumed.push(say.countedToday());
    if (text('method') === '') assumed.push(say.takenAs({ method: METHOD[method].one }));
    return {
      line,
      ok: true,
      ...plant,
      mother: mother || null,
      fields: {
        count,
        cutOn,
        method,
        ...(text('place') ? { place: cutText(text('place'), 80) } : {}),
      },
      counts: told ? apart : null,
      countedOn: told ? (countedOn ?? today) : null,
      notes: text('notes') || null,
      assumed,
    };
  } catch (error) {
    if (error instanceof Refused)
      return { line, ok: false, field: error.field, sentence: error.sentence };
    throw error;
  }
}

/** A name as long as the journal takes one. */
function named(text: string, field: PaperField): string {
  if (text.length > MOST_NAME)
    throw new Refused(field, say.aNameOf({ signs: text.length, most: MOST_NAME }));
  if (!isWhole(text)) throw new Refused(field, say.holdsHalfASign());
  return text;
}

function plantIn(
  name: string,
  { byName, taxa, mapping }: Context,
): { taxon: string; newPlant: string | null } {
  if (name === '') throw new Refused('taxon', say.namesNoPlant());
  const known = byName.get(foldText(name));
  if (known !== undefined) return { taxon: known, newPlant: null };
  const so = calledJustSo(taxa, name, alsoCalled);
  const [only, ...more] = so.length > 0 ? so : findTaxa(taxa, name, alsoCalled);
  if (only && more.length === 0) return { taxon: only.id, newPlant: null };
  // Names are a grower's: `constructor` is a plant like any other, and no key of every object.
  const chosen = Object.hasOwn(mapping.like, name) ? mapping.like[name] : undefined;
  if (chosen) return { taxon: chosen, newPlant: name };
  // A plant of a known genus borrows the figures of its first species; it keeps its own name.
  const genus = foldText(name).split(/\s+/)[0] ?? '';
  const kin = taxa.find((t) => foldText(t.name).split(' ')[0] === genus);
  if (kin) return { taxon: kin.id, newPlant: name };
  throw new Refused(
    'taxon',
    more.length > 0
      ? say.mayBe({
          name,
          names: [only!, ...more]
            .slice(0, 3)
            .map((t) => t.name)
            .join(', '),
        })
      : say.isNotInTheGuide({ name }),
  );
}

/** Names of methods as people write them in logs, beside the product's own; without their accents. */
const METHOD_WORDS: readonly (readonly [RegExp, MethodId])[] = [
  [
    /\bleaf (section|piece|cut)|\bsection|\bblatt(stuck|abschnitt|teil)|(trozo|seccion)s? de hoja/,
    'leaf-section',
  ],
  [/\bleaf|\bleaves|\bblatt|\bhojas?\b/, 'leaf'],
  [/\b(tip|top|crown|head|behead)|\bkopf|\bspitze|\bcabeza|\bpunta|\broseta/, 'crown'],
  [/\b(segment|stem|node|middle)|\bstamm|\btallo/, 'segment'],
  [/\btrail|\bstrand|\bstring|\branke|\bcolgante/, 'trailing'],
  [/\bbranch|\bwoody|\bzweig|\bast\b|\brama/, 'branch'],
  [/\bpad|\bjoint|\bohr|\bglied|\bpala|\bpenca/, 'pad'],
  [/\bcolumn|\bcolumnar|\bsaule/, 'column'],
  [/\brooted (offset|pup)|\bbewurzelte? kindel|\bhijuelos? con raiz/, 'rooted-offset'],
  [/\boffset|\bpup|\bkindel|\bableger|\bhijuelo/, 'offset'],
  [/\bdivi|\bsplit|\bclump|\bteilung/, 'division'],
  [/\bplantlet|\bbulbil|\bbrutpflanz|\bbulbillo/, 'plantlet'],
  [/\bcutting|\bsteckling|\besqueje/, 'segment'],
];

function methodIn(text: string, usual: MethodId | ''): MethodId {
  const plain = foldText(text);
  if (plain === '') {
    if (usual !== '') return usual;
    throw new Refused('method', say.howItWasTaken());
  }
  const own = METHODS.find((m) => foldText(METHOD[m].name) === plain || m === plain);
  const word = own ?? METHOD_WORDS.find(([pattern]) => pattern.test(plain))?.[1];
  if (word === undefined) throw new Refused('method', say.isNoMethod({ text }));
  return word;
}

/** Any day that can be meant one way only is taken as it is written; the rest in the order told for all. */
function dayIn(text: string, field: PaperField, order: DayOrder | '', today: Day): Day | null {
  if (text === '') return null;
  const read = readDay(dateOnly(text), {
    today,
    languages: LANGUAGES,
    ...(order ? { order } : {}),
  });
  if (!read.ok)
    throw new Refused(
      field,
      read.why === 'ambiguous'
        ? say.mayBeEither({ text, one: read.either[0], other: read.either[1] })
        : say.isNotADay({ text }),
    );
  const { day } = read;
  if (day < FIRST_DAY || day > LAST_DAY) throw new Refused(field, say.noDayOfABench({ day }));
  if (day > today) throw new Refused(field, say.isStillToCome({ day }));
  return day;
}

function numberIn(text: string, field: PaperField): number | null {
  if (text === '' || text === '-') return null;
  if (!/^\d{1,6}$/.test(text)) throw new Refused(field, say.isNotWhole({ text }));
  return Number(text);
}

/**
 * The entries the good rows become. Such batches are done with: they teach what came of them, not how long it
 * took, unless the day of the count is told.
 * @param freshId a new id each time
 */
export function paperEntries(
  state: State,
  rows: readonly PaperRow[],
  space: string,
  freshId: () => string,
): readonly EntryDraft[] {
  const entries: EntryDraft[] = [];
  const named = new Map([...state.mothers.values()].map((m) => [foldText(m.name ?? ''), m.id]));
  const spaces = new Map(placesIn(state).map((x) => [foldText(x.name ?? ''), x.id]));
  const own = new Map([...state.ownTaxa.values()].map((t) => [foldText(t.name ?? ''), t.id]));
  for (const row of rows) {
    if (!row.ok) continue;
    let taxon = row.taxon;
    if (row.newPlant !== null) {
      const key = foldText(row.newPlant);
      let id = own.get(key);
      if (id === undefined) {
        own.set(key, (id = freshId()));
        entries.push({
          kind: 'put',
          record: 'taxon',
          key: id,
          fields: { name: row.newPlant, like: row.taxon },
        });
      }
      taxon = id;
    }
    let mother: string | undefined;
    if (row.mother !== null) {
      const key = foldText(row.mother);
      mother = named.get(key);
      if (mother === undefined) {
        named.set(key, (mother = freshId()));
        entries.push({
          kind: 'put',
          record: 'mother',
          key: mother,
          fields: { name: row.mother, taxon, provenance: 'from an old log', permission: 'unknown' },
        });
      }
    }
    const batch = freshId();
    const cutOn = row.fields.cutOn!;
    // “Lean-to” in the log is the lean-to there is, and no tray of that name.
    const { place, ...fields } = row.fields;
    const known = spaces.get(foldText(place ?? ''));
    entries.push(
      {
        kind: 'put',
        record: 'batch',
        key: batch,
        day: cutOn,
        fields: {
          ...fields,
          ...(place === undefined || known !== undefined ? {} : { place }),
          taxon,
          ...(mother === undefined ? {} : { mother }),
          school: 'dry-to-touch',
          callusAt: 'rack',
          space: known ?? space,
        },
      },
      { kind: 'cut', batch, day: cutOn },
    );
    if (row.notes !== null)
      entries.push({ kind: 'note', batch, day: cutOn, text: cutText(row.notes, 4000) });
    if (row.counts !== null && row.countedOn !== null)
      entries.push(
        { kind: 'tally', batch, day: row.countedOn, counts: row.counts },
        { kind: 'ended', batch, day: row.countedOn, text: 'from an old log' },
      );
  }
  return entries;
}
