/** Letters that look like the ones they stand for, and cannot be taken for them. */
export const LETTERS = Object.fromEntries(
  [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((c, i) => [
    c,
    [...'àƀçðéƒĝĥîĵķļɱñôþǫŕšţûṽŵẋýžÀƁÇÐÉƑĜĤÎĴĶĻṀÑÔÞǪŔŠŢÛṼŴẊÝŽ'][i],
  ]),
);
