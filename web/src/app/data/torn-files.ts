import { inject, Injectable, signal } from '@angular/core';
import * as z from 'zod';
import { STORES } from './book';

const KEY = 'torn-files';
const tornSchema = z.array(
  z.object({
    name: z.string(),
    /** When it was set aside, ms since 1970. */
    at: z.number(),
    /** So many entries were whole, and came into the journal. */
    entries: z.int().min(0),
    text: z.string(),
  }),
);
export type TornFile = z.infer<typeof tornSchema>[number];

/** Files that broke off on their way: kept as they were until the grower saves them or throws them away. */
@Injectable({ providedIn: 'root' })
export class TornFiles {
  private readonly device = inject(STORES).device;
  private readonly listed = signal<readonly TornFile[]>([]);
  readonly all = this.listed.asReadonly();

  constructor() {
    void this.read().then((all) => this.listed.set(all));
  }

  /** @throws where the store is full: the file must then be left where it is */
  async setAside(torn: TornFile): Promise<void> {
    const before = await this.read();
    if (before.some(({ text }) => text === torn.text)) return;
    await this.store([...before, torn]);
  }

  async throwAway(torn: TornFile): Promise<void> {
    await this.store((await this.read()).filter(({ at }) => at !== torn.at));
  }

  private async store(all: TornFile[]): Promise<void> {
    await this.device.setItem(KEY, all);
    this.listed.set(all);
  }

  private async read(): Promise<TornFile[]> {
    const kept = await this.device.getItem(KEY).catch(() => null);
    return tornSchema.catch([]).parse(kept);
  }
}
