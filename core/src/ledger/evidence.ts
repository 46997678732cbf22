export type Strength = 'strong' | 'some' | 'weak';

/** How strong evidence is, from its chance under no difference. */
export function strengthOf(p: number): Strength {
  return p < 0.01 ? 'strong' : p < 0.1 ? 'some' : 'weak';
}

/**
 * Chances corrected for how many were looked at.
 * Source: Holm 1979, Scand. J. Stat. 6:65.
 */
export function holm(ps: readonly number[]): readonly number[] {
  const order = ps.map((_, i) => i).sort((a, b) => ps[a]! - ps[b]!);
  const out = Array<number>(ps.length).fill(1);
  let most = 0;
  order.forEach((i, rank) => {
    most = Math.max(most, Math.min(1, ps[i]! * (ps.length - rank)));
    out[i] = most;
  });
  return out;
}
