import type { FileHandle } from '../app/data/kept-file';

/** A file of the grower's disk, as a browser hands it out; it can refuse, and be changed by another device. */
export class DiskFile implements FileHandle {
  readonly name = 'journal.json';
  text = '';
  may: PermissionState = 'granted';
  /** Why nothing can be written; empty where it can. */
  fails = '';
  writes = 0;
  aborted = 0;
  /** Called when a write has begun: another device has its moment. */
  meanwhile: () => void = () => undefined;
  private changed = 1;

  constructor(text = '') {
    this.text = text;
  }

  /** Another device writes it. */
  put(text: string): void {
    this.text = text;
    this.changed++;
  }

  readonly queryPermission = (): Promise<PermissionState> =>
    this.fails === 'permission' ? Promise.reject(new Error('no')) : Promise.resolve(this.may);
  readonly requestPermission = (): Promise<PermissionState> =>
    Promise.resolve((this.may = 'granted'));

  getFile() {
    const { text, changed } = this;
    return Promise.resolve({
      size: text.length,
      lastModified: changed,
      text: () => Promise.resolve(text),
    });
  }

  createWritable() {
    if (this.fails !== '') return Promise.reject(new Error(this.fails));
    let beside = '';
    return Promise.resolve({
      write: (text: string) => {
        beside = text;
        this.meanwhile();
        return Promise.resolve();
      },
      close: () => {
        this.writes++;
        this.put(beside);
        return Promise.resolve();
      },
      abort: () => {
        this.aborted++;
        return Promise.resolve();
      },
    });
  }
}
