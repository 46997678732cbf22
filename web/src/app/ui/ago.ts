import { Pipe, type PipeTransform } from '@angular/core';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';

/** How long ago something was: `3 days ago`; nothing where it never was. */
@Pipe({ name: 'hyAgo' })
export class Ago implements PipeTransform {
  transform(at: number | null): string {
    return at === null ? '' : formatDistanceToNow(at, { addSuffix: true });
  }
}
