import { dressed, lookSchema, type Look } from '.';

const kin: Look = lookSchema.parse({
  habit: 'rosette',
  fill: 'blue',
  mark: 'dots',
  markTone: 'red',
});

describe('a look of one’s own over that of its kin', () => {
  it('keeps what is not said, takes what is, and takes a marking off', () => {
    expect(dressed(kin, {})).toEqual(kin);
    expect(dressed(kin, { fill: 'red', count: 20 })).toMatchObject({
      fill: 'red',
      count: 20,
      mark: 'dots',
    });
    const plain = dressed(kin, { mark: 'none' });
    expect(plain).not.toHaveProperty('mark');
    expect(plain).not.toHaveProperty('markTone');
  });

  it('a marking of its own keeps the tone of its kin, or has its own', () => {
    expect(dressed(kin, { mark: 'bands' })).toMatchObject({ mark: 'bands', markTone: 'red' });
    expect(dressed(kin, { mark: 'bands', markTone: 'white' })).toMatchObject({ markTone: 'white' });
  });
});
