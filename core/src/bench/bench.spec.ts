import { CATALOGUE } from '../botany';
import { fold } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import {
  airOf,
  batchCode,
  batchTitle,
  clockOf,
  gateOpen,
  pieceOf,
  plantOf,
  plants,
  PLAIN_ROOM,
  whyOf,
} from '.';

const state = fold(
  written(
    batchPut(),
    batchPut({ ...FIELDS, taxon: 'own-1', method: 'leaf', count: 1 }, 'b2'),
    batchPut({ ...FIELDS, taxon: 'haworthiopsis-attenuata', method: 'rooted-offset' }, 'b3'),
    {
      kind: 'put',
      record: 'taxon',
      key: 'own-1',
      day: DAY,
      fields: { name: 'Nameless hybrid', like: 'echeveria-elegans' },
    },
    {
      kind: 'put',
      record: 'taxon',
      key: 'own-2',
      day: DAY,
      fields: { name: 'Stray', like: 'nowhere' },
    },
  ),
);
const batch = (id: string) => state.batches.get(id)!;

describe('a batch as the grower speaks of it', () => {
  it('has a title in words and a code to write on a stake', () => {
    expect(batchTitle(state, batch('b1'))).toBe('Echeveria crowns');
    expect(batchTitle(state, batch('b2'))).toBe('Nameless hybrid, leaf');
    expect(batchCode(state, batch('b1'))).toMatch(/^ECH-[2-9A-Z]{3}$/);
    expect(batchCode(state, batch('b1'))).not.toBe(
      batchCode(state, { ...batch('b1'), id: 'other' }),
    );
    expect(pieceOf(state, batch('b1'))).toBe('crown');
  });

  it('an own plant borrows its figures and says of whom; a stray one is not offered', () => {
    expect(plantOf(state, 'own-1')).toMatchObject({
      name: 'Nameless hybrid',
      like: 'Echeveria elegans',
    });
    expect(plantOf(state, 'own-2')).toBeNull();
    expect(plants(state)[0]!.id).toBe('own-1');
  });

  it('has a clock where something was cut, and none where not', () => {
    expect(clockOf(state, batch('b1'))!.gate.state).toBe('dated');
    expect(clockOf(state, batch('b3'))).toBeNull();
    expect(gateOpen(null, DAY)).toBe(true);
    expect(gateOpen(clockOf(state, batch('b1')), DAY)).toBe(false);
    expect(gateOpen(clockOf(state, batch('b1')), '2026-04-01')).toBe(true);
  });

  it('why a way is taken is theirs where they wrote it, else ours', () => {
    const euphorbia = CATALOGUE.find((t) => t.methods.some((m) => m.why !== undefined))!;
    const told = euphorbia.methods.find((m) => m.why !== undefined)!;
    expect(whyOf(state, euphorbia.id, told.method)).toEqual({ text: told.why, own: false });
    const wrote = fold(
      written({
        kind: 'put',
        record: 'taxon',
        key: euphorbia.id,
        day: DAY,
        fields: { methods: [{ method: told.method, why: 'Mine are 16 cm' }] },
      }),
    );
    expect(whyOf(wrote, euphorbia.id, told.method)).toEqual({ text: 'Mine are 16 cm', own: true });
    expect(whyOf(state, 'nobody', told.method)).toBeNull();
  });

  it('an unknown space has the air of a plain room', () => {
    expect(airOf(state, 'bench', DAY)).toEqual({ ...PLAIN_ROOM, from: 'usual' });
  });
});
