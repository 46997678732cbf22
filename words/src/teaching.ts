import type { Teaching } from '@hypogeon/core/plan';
import { percent } from './shares';

/** `Wholly`, `As far as it has come: 60% should have roots by now`, `Not: left out, the cat slept on it`. */
export function teachingText(teaching: Teaching): string {
  switch (teaching.kind) {
    case 'whole':
      return 'Wholly';
    case 'part':
      return `As far as it has come: by its last look ${percent(teaching.far)} of those that root should have`;
    case 'left-out':
      return `Not: left out, ${teaching.why}`;
    case 'before':
      return 'Not: cut before the fresh start';
    case 'unseen':
      return 'Not yet: nothing of it is settled';
    case 'unknown':
      return 'Not: its plant or way has no figures';
  }
}
