import { CATALOGUE, methodOf } from '../botany';
import { readCounts, writeCounts } from '../formats';
import { EMPTY_STATE } from '../journal';
import { doubtsOf } from '../pool';
import { societyFiles } from './society';

describe('the files of the invented society', () => {
  const files = societyFiles(2025);

  it('are six good files of plants and ways of the guide, always the same', () => {
    expect(files).toHaveLength(6);
    expect(societyFiles(2025)).toEqual(files);
    for (const { counts } of files) {
      expect(readCounts(writeCounts(counts))).toEqual({ ok: true, counts });
      for (const { taxon, method } of counts.rows)
        expect(
          methodOf(
            CATALOGUE.find((t) => t.id === taxon)!,
            method,
          ),
        ).toBeDefined();
    }
  });

  it('one is odd and named so, one is half finished, the others are plain', () => {
    const doubts = files.map((f) => doubtsOf(EMPTY_STATE, f.counts).map((d) => d.is));
    expect(doubts.filter((d) => d.includes('all rooted'))).toHaveLength(1);
    expect(doubts.flat()).toHaveLength(1);
    expect(files.filter((f) => f.counts.rows.every((r) => !r.settled))).toHaveLength(1);
  });
});
