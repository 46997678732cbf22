import * as say from '@hypogeon/messages/core-strap';

/** A strap leaf as it grew. */
export interface Strap {
  readonly lengthMm: number;
}

/** A section of a strap: base end down, never the other way. */
export interface Section {
  /** Leaf and place from its base, `2.1` the lowest of the second leaf. */
  readonly name: string;
  readonly leaf: number;
  readonly fromMm: number;
  readonly toMm: number;
  /** The tip of the leaf: only its lower end is cut. */
  readonly tip: boolean;
}

export interface StrapPlan {
  readonly sections: readonly Section[];
  /** Cuts across, and what is left on the plant or thrown away. */
  readonly cuts: number;
  readonly leftMm: readonly number[];
  /** How deep to set them, mm: half their length, but neither less nor more than this. */
  readonly depthMm: number;
  /** Tray length a row of so many needs is left to the grower; this is from one to the next, mm. */
  readonly spacingMm: number;
}

/** Sections 5–10 cm, set 1–5 cm deep or about half, as close as 1–1.5 cm. Common practice, no source. */
export const SECTION_MM = { least: 50, most: 100 } as const;
const DEPTH_MM = { least: 10, most: 50 } as const;
const SPACING_MM = 15;

/**
 * What is wrong with straps as typed, in the grower's words; empty if nothing.
 * @param length as the grower reads one
 */
export function strapProblem(
  straps: readonly Strap[],
  sectionMm: number,
  length: (mm: number) => string,
): string {
  if (straps.length === 0) return say.noLeafIsListed();
  if (straps.some((s) => !(s.lengthMm > 0))) return say.aLeafHasA();
  if (!(sectionMm >= SECTION_MM.least && sectionMm <= SECTION_MM.most))
    return say.sectionsOfToMm({
      least: length(SECTION_MM.least),
      most: length(SECTION_MM.most),
    });
  const longest = Math.max(...straps.map((s) => s.lengthMm));
  if (longest < sectionMm) return say.theLongestLeafIs({ longest: length(longest) });
  return '';
}

/**
 * Straps cut across into sections, numbered from the base. What is too short for another section stays with
 * the top one, so that nothing is thrown away that could root.
 * @param bladeMm lost to every cut
 */
export function cutStraps(straps: readonly Strap[], sectionMm: number, bladeMm = 1): StrapPlan {
  const sections: Section[] = [];
  const leftMm: number[] = [];
  let cuts = 0;
  straps.forEach(({ lengthMm }, leaf) => {
    const count = Math.floor((lengthMm + bladeMm) / (sectionMm + bladeMm));
    if (count === 0) {
      leftMm.push(lengthMm);
      return;
    }
    // One cut takes the leaf off, one more for every further section.
    cuts += count;
    for (let i = 0; i < count; i++) {
      const fromMm = i * (sectionMm + bladeMm);
      const tip = i === count - 1;
      sections.push({
        name: `${leaf + 1}.${i + 1}`,
        leaf,
        fromMm,
        toMm: tip ? Math.min(lengthMm, fromMm + SECTION_MM.most) : fromMm + sectionMm,
        tip: tip && lengthMm <= fromMm + SECTION_MM.most,
      });
    }
    leftMm.push(Math.max(0, lengthMm - sections.at(-1)!.toMm));
  });
  return {
    sections,
    cuts,
    leftMm,
    depthMm: Math.min(Math.max(sectionMm / 2, DEPTH_MM.least), DEPTH_MM.most),
    spacingMm: SPACING_MM,
  };
}
