import {
  rehearse as play,
  whatMatters,
  type Matter,
  type MattersInput,
  type Rehearsal,
  type RehearsalInput,
} from '@hypogeon/core/rehearse';

/** Cuttings played through, off the screen's thread. */
export const rehearse = {
  play(input: RehearsalInput): Rehearsal {
    return play(input);
  },
  matters(input: MattersInput): readonly Matter[] {
    return whatMatters(input);
  },
};

export type RehearseWorker = typeof rehearse;
