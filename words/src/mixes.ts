import type { AirLack } from '@hypogeon/core/media';

/** That roots will lack air, why, and what helps; empty where they will not. */
export function airWarning(lack: AirLack | null): string {
  if (lack === null) return '';
  const why = lack.soggy ? 'most of its depth stays soggy' : 'its fines hold water everywhere';
  return `Only ${Math.round(lack.air * 100)}% air once drained: ${why}, and roots rot. Take a coarser mix or a deeper pot.`;
}
