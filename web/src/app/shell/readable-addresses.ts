import { DefaultUrlSerializer, type UrlTree } from '@angular/router';

/** Where an address leads that nothing can be read from: the page that says so. */
const UNREADABLE = '/unreadable';

/** An address that cannot be decoded leads to a page that says so, and not silently to the first one. */
export class ReadableAddresses extends DefaultUrlSerializer {
  override parse(url: string): UrlTree {
    try {
      return super.parse(url);
    } catch {
      return super.parse(UNREADABLE);
    }
  }
}
