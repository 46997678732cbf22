import * as say from '@hypogeon/messages/core-senml';
import '../zod-setup';
import * as z from 'zod';

/** One resolved measurement: every base folded in, its time in seconds. */
export interface Measurement {
  readonly name: string;
  readonly unit: string | null;
  /** Seconds since 1970, or null where it is “about now”. */
  readonly time: number | null;
  readonly value: number | string | boolean | null;
}

export type ReadSenml =
  | { readonly ok: true; readonly measurements: readonly Measurement[] }
  | { readonly ok: false; readonly problem: string };

const record = z.looseObject({
  bn: z.string().optional(),
  bt: z.number().optional(),
  bu: z.string().optional(),
  bv: z.number().optional(),
  bs: z.number().optional(),
  bver: z.int().positive().optional(),
  n: z.string().optional(),
  u: z.string().optional(),
  t: z.number().optional(),
  v: z.number().optional(),
  vs: z.string().optional(),
  vb: z.boolean().optional(),
  vd: z.string().optional(),
  s: z.number().optional(),
});
const pack = z.array(record).min(1).max(10_000);

/** Versions up to this are understood. */
const VERSION = 10;
/** Times below this many seconds are counted from now. */
const RELATIVE = 2 ** 28;
const NAME = /^[A-Za-z0-9][A-Za-z0-9\-:./_]*$/;

/**
 * Reads a SenML pack in JSON and resolves its base fields.
 * @param nowSeconds seconds since 1970, for times given relative to now; null leaves them unset
 * Source: RFC 8428, sections 4 and 5.
 */
export function readSenml(raw: unknown, nowSeconds: number | null): ReadSenml {
  const parsed = pack.safeParse(raw);
  if (!parsed.success) return refuse(say.isNoPack());
  const measurements: Measurement[] = [];
  let base: { bn: string; bt: number; bu: string | undefined; bv: number | undefined } = {
    bn: '',
    bt: 0,
    bu: undefined,
    bv: undefined,
  };
  for (const r of parsed.data) {
    if (r.bver !== undefined && r.bver > VERSION)
      return refuse(say.itsVersionIs({ version: r.bver, known: VERSION }));
    // A field whose name ends with an underscore must be understood or the pack refused.
    const must = Object.keys(r).find((key) => key.endsWith('_'));
    if (must) return refuse(say.itDemands({ must }));
    base = { bn: r.bn ?? base.bn, bt: r.bt ?? base.bt, bu: r.bu ?? base.bu, bv: r.bv ?? base.bv };
    const given = [r.v, r.vs, r.vb, r.vd].filter((v) => v !== undefined);
    if (given.length > 1) return refuse(say.moreThanOneValue());
    const onlyBase =
      given.length === 0 && r.s === undefined && r.n === undefined && r.t === undefined;
    if (onlyBase && base.bv === undefined) continue;
    const name = base.bn + (r.n ?? '');
    if (!NAME.test(name)) return refuse(say.isNoNameOf({ name }));
    const number = r.v === undefined && given.length > 0 ? null : numeric(r.v, base.bv);
    measurements.push({
      name,
      unit: r.u ?? base.bu ?? null,
      time: absolute(base.bt + (r.t ?? 0), nowSeconds),
      value: r.vs ?? r.vb ?? r.vd ?? number,
    });
  }
  return { ok: true, measurements };
}

function numeric(v: number | undefined, bv: number | undefined): number | null {
  return v === undefined && bv === undefined ? null : (v ?? 0) + (bv ?? 0);
}

function absolute(time: number, now: number | null): number | null {
  if (time >= RELATIVE) return time;
  return now === null ? null : now + time;
}

function refuse(problem: string): ReadSenml {
  return { ok: false, problem };
}

/** A pack of one device, times relative to its base. @param atSeconds seconds since 1970 */
export function writeSenml(
  baseName: string,
  atSeconds: number,
  values: readonly { readonly n: string; readonly u: string; readonly v: number }[],
): readonly object[] {
  return values.map((value, i) => (i === 0 ? { bn: baseName, bt: atSeconds, ...value } : value));
}
