/*
 * Past versions of the journal file walk forward through small pure steps, one version each.
 * A step gets the entry as parsed JSON and never throws on what it does not know.
 *
 * Version 1: a put of a batch kept its wound as `woundMm`, a tally its counts as `dead` for what
 *            dried up.
 * Version 2: `widthMm` (with `thicknessMm` for straps) and `dried`.
 * Version 3: water by weight and volume (`weighed`, `felt`, `ml`, bottom watering), mixes, containers,
 *            series of readings. Nothing older changes its meaning.
 * Version 4: courses of care: what is told at a cut, a setting, a look and a potting (`course`, `dryDays`, `opening`,
 *            `reopened`, `signs`, `gate` of a watering …), mothers repotted and divided. Nothing older changes.
 */
export const JOURNAL_VERSION = 4;

type Raw = Record<string, unknown>;
type Step = (entry: Raw) => Raw;

const STEPS: Readonly<Record<number, Step>> = {
  1: fromVersion1,
  2: (entry) => entry,
  3: (entry) => entry,
};

/** An entry of `version` as the current version writes it. */
export function migrateEntry(entry: unknown, version: number): unknown {
  if (!isRaw(entry)) return entry;
  let current = entry;
  for (let v = version; v < JOURNAL_VERSION; v++) current = STEPS[v]!(current);
  return current;
}

function fromVersion1(entry: Raw): Raw {
  if (entry.kind === 'put' && entry.record === 'batch' && isRaw(entry.fields))
    return { ...entry, fields: renamed(entry.fields, 'woundMm', 'widthMm') };
  if (entry.kind === 'tally' && isRaw(entry.counts))
    return { ...entry, counts: renamed(entry.counts, 'dead', 'dried') };
  return entry;
}

function renamed(raw: Raw, from: string, to: string): Raw {
  if (!(from in raw)) return raw;
  const { [from]: value, ...rest } = raw;
  return { ...rest, [to]: value };
}

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
