import { EMPTY_STATE, type Entry } from '../journal';
import { JournalLines, readJournal, writeJournal } from './journal-file';
import { JOURNAL_VERSION } from './migrate';

/** A journal file that broke off on its way, and what can still be read of it. */
export interface TornJournal {
  /** The entries on lines that are whole. */
  readonly entries: readonly Entry[];
}

/**
 * Whether a text is a journal as it is written here that broke off while it was carried or saved, and what of it is
 * whole. A text that reads as JSON is none, whatever is wrong with it; nor is one that was never laid out by us.
 * @param nowMs this device's clock, ms since 1970
 */
export function tornJournal(text: string, nowMs: number): TornJournal | null {
  const [head = '', ...lines] = text.split('\n');
  if (!JournalLines.fits(head) || isJson(text)) return null;
  const whole = lines.map((line) => line.replace(/,$/, '')).filter(isJson);
  const version = /"version":\d+/.exec(head)![0];
  // What a newer version writes is left to it.
  if (Number(version.split(':')[1]) > JOURNAL_VERSION) return null;
  const mended = `${
    writeJournal([])
      .replace(/"version":\d+/, version)
      .split('\n')[0]!
  }\n${whole.join(',\n')}\n]}\n`;
  const read = readJournal(mended, EMPTY_STATE, nowMs);
  return { entries: read.ok ? read.entries : [] };
}

function isJson(text: string): boolean {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
}
