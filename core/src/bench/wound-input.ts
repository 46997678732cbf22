import type { TaxonMethod } from '../botany';
import { COURSE } from '../course';
import { spaceOn, type Batch, type State } from '../journal';
import { hydraulicWidth, WOUND_SCHOOL, type Tissue, type WoundClockInput } from '../wound';
import { airOf } from './air-of';
import { figuresOf } from './plant';

type Wound = NonNullable<TaxonMethod['wound']>;

/**
 * How wide a cut through a tissue usually is, where the plant's own way has no wound to go by, mm. Working
 * assumptions; a ruler is surer.
 */
const USUAL_WIDTH: Readonly<Record<Tissue, number>> = {
  'leaf base': 4,
  'semi-woody stem': 10,
  'soft stem': 6,
  'strap leaf': 12,
  rhizome: 12,
  tuber: 20,
  'cactus body': 30,
};
/** Roots cut or torn, as one wound. Working assumption; 2–5. */
const ROOT_WIDTH_MM = 3;

/** What was cut: as told of this batch, else as usual for its plant and way; null where nothing was. */
export function woundOf(state: State, batch: Batch): Wound | null {
  if (batch.opening === 'parted') return null;
  const usual = figuresOf(state, batch)?.wound ?? null;
  const told = batch.through;
  const wound: Wound | null =
    told === undefined || told === usual?.tissue
      ? usual
      : { tissue: told, widthMm: USUAL_WIDTH[told], evidence: 'working assumption' };
  if (batch.widthMm === undefined) return wound;
  if (wound)
    return {
      tissue: wound.tissue,
      evidence: wound.evidence,
      widthMm: batch.widthMm,
      ...(batch.thicknessMm === undefined ? {} : { thicknessMm: batch.thicknessMm }),
    };
  // A width was measured where usually nothing is cut: then something was.
  return { tissue: 'soft stem', widthMm: batch.widthMm, evidence: 'working assumption' };
}

/** What the wound clock of a batch counts with; null where nothing was cut that could rot. */
export function woundInput(state: State, batch: Batch): WoundClockInput | null {
  const wound = woundOf(state, batch);
  const again = batch.reopenings.at(-1);
  if (!wound && !again) return null;
  const from = again?.day ?? batch.cutOn;
  // On the rack for as long as it takes, in courses that wait there for roots or for the jar.
  const bare = batch.course !== undefined && COURSE[batch.course].setWhen !== 'dried';
  return {
    ...(again ? reopened(wound, again) : faceOf(wound!)),
    cutOn: from,
    school: WOUND_SCHOOL[batch.school],
    callusAt: bare ? 'rack' : batch.callusAt,
    stuckOn: batch.stuck ?? undefined,
    dryDays: bare ? BARE_DAYS : again ? undefined : batch.dryDays,
    air: (day, stuck) => airOf(state, spaceOn(batch, day, stuck), day),
    checks: batch.woundChecks.filter((c) => c.day >= from),
  };
}

/** Longer than any window: it is not set by a rule. */
export const BARE_DAYS = 365;

type Face = Pick<WoundClockInput, 'widthMm' | 'tissue'>;

const faceOf = ({ tissue, widthMm, thicknessMm }: Wound): Face => ({
  tissue,
  widthMm: hydraulicWidth(widthMm, thicknessMm),
});

function reopened(wound: Wound | null, again: Batch['reopenings'][number]): Face {
  const tissue =
    again.through ?? (again.why === 'roots-cut' ? 'soft stem' : (wound?.tissue ?? 'soft stem'));
  const widthMm =
    again.widthMm ??
    (again.why === 'roots-cut'
      ? ROOT_WIDTH_MM
      : wound
        ? faceOf(wound).widthMm
        : USUAL_WIDTH[tissue]);
  return { tissue, widthMm };
}
