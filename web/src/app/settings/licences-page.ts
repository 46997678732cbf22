import {
  ChangeDetectionStrategy,
  Component,
  inject,
  InjectionToken,
  resource,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import * as z from 'zod';
import { say } from '@hypogeon/messages/licences-page';

const licencesSchema = z.array(
  z.object({ name: z.string(), version: z.string(), licence: z.string(), text: z.string() }),
);

/** The list that the build gathers. */
export const LICENCES = new InjectionToken<() => Promise<unknown>>('licences', {
  providedIn: 'root',
  factory: () => async () => (await fetch('made-with/licences.json')).json() as Promise<unknown>,
});

/** What the product is made with, and under which licences that ships. */
@Component({
  selector: 'hy-licences-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="quiet small">
      <a routerLink="/settings">{{ say.settings() }}</a>
    </p>
    <div class="page-head">
      <h1>{{ say.madeWith() }}</h1>
      <p class="quiet">{{ say.openSourcePackagesAnd() }}</p>
    </div>
    @if (licences.error()) {
      <p class="problem" role="alert">
        {{ say.theListCouldNot() }}
      </p>
    } @else if (licences.value(); as all) {
      <p>{{ say.hypogeonItselfIsUnder({ allCount: all.length }) }}</p>
      <ul class="max-w-208 p-0 list-none">
        @for (p of all; track p.name + p.version) {
          <li class="border-b border-line">
            @if (p.text) {
              <details>
                <summary class="min-h-11 m-0 py-2.5 px-0 cursor-pointer">
                  <strong class="mr-2">{{ p.name }}</strong> {{ p.version }}
                  <span class="mx-2 quiet">{{ p.licence }}</span>
                </summary>
                <pre
                  class="max-h-88 p-3 bg-face overflow-auto whitespace-pre-wrap wrap-anywhere small"
                  tabindex="0"
                  >{{ p.text }}</pre>
              </details>
            } @else {
              <p class="min-h-11 py-2.5">
                <strong class="mr-2">{{ p.name }}</strong> {{ p.version }}
                <span class="mx-2 quiet">{{ p.licence }}</span>
              </p>
            }
          </li>
        }
      </ul>
    } @else {
      <p class="quiet" role="status">{{ say.readingTheList() }}</p>
    }
  `,
})
export class LicencesPage {
  protected readonly say = say;

  private readonly list = inject(LICENCES);
  protected readonly licences = resource({
    loader: async () => licencesSchema.parse(await this.list()),
  });
}
