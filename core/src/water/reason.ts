import type { WaterSchoolId } from './school';
import type { RegimeId } from './unrooted';

/** Why the verdict on a pot is what it is: data, to be put into words in the grower's units. */
export type VerdictReason =
  | { readonly why: 'gate-stopped' }
  | { readonly why: 'gate-closed' }
  | { readonly why: 'pool'; readonly ml: number }
  | { readonly why: 'first-waits'; readonly for: 'roots' | 'days' }
  | { readonly why: 'first-mist' }
  | { readonly why: 'first-drink'; readonly depthMm: number }
  /** It has roots: water through the whole pot. */
  | { readonly why: 'first-soak' }
  /** It holds this share of its water, and its school asks only later. */
  | {
      readonly why: 'holds';
      readonly fill: number;
      readonly school: WaterSchoolId;
      readonly weaning: boolean;
    }
  | {
      readonly why: 'asks';
      readonly fill: number;
      readonly school: WaterSchoolId;
      readonly days: number;
    }
  | { readonly why: 'overdue'; readonly school: WaterSchoolId; readonly days: number }
  /** Without roots it drinks next to nothing; roots that are young dry out, or drown, in a tray soaked for all. */
  | {
      readonly why: 'regime';
      readonly regime: RegimeId;
      readonly rooted: boolean;
      /** Seed that is not up as yet. */
      readonly sown: boolean;
      /** Some beside those with roots wait for theirs. */
      readonly beside: boolean;
      readonly fill: number;
    };

/** What would change it. */
export type VerdictUnless =
  | { readonly what: 'firm' | 'tip-out' | 'soft' | 'wrinkling' | 'soft-base' | 'plump' | 'moist' }
  /** Four degrees warmer would bring it so many days forward; a weighing would narrow the range. */
  | { readonly what: 'warmer'; readonly days: number; readonly weigh: boolean };
