import { rehearse as play, type Rehearsal, type RehearsalInput } from '@hypogeon/core/rehearse';

/** Cuttings played through, off the screen's thread. */
export const rehearse = {
  play(input: RehearsalInput): Rehearsal {
    return play(input);
  },
};

export type RehearseWorker = typeof rehearse;
