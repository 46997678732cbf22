import {
  ChangeDetectionStrategy,
  Component,
  inject,
  InjectionToken,
  resource,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import * as z from 'zod';

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
    <p class="quiet small"><a routerLink="/settings">Settings</a></p>
    <div class="page-head">
      <h1>Made with</h1>
      <p class="quiet">open-source packages and fonts, and their licences</p>
    </div>
    @if (licences.error()) {
      <p class="problem" role="alert">
        The list could not be read. It comes with the application: open this page again with its
        server in reach.
      </p>
    } @else if (licences.value(); as all) {
      <p>Hypogeon itself is under the MIT licence. It ships with {{ all.length }} packages.</p>
      <ul>
        @for (p of all; track p.name + p.version) {
          <li>
            @if (p.text) {
              <details>
                <summary>
                  <strong>{{ p.name }}</strong> {{ p.version }} <span>{{ p.licence }}</span>
                </summary>
                <pre tabindex="0">{{ p.text }}</pre>
              </details>
            } @else {
              <p>
                <strong>{{ p.name }}</strong> {{ p.version }} <span>{{ p.licence }}</span>
              </p>
            }
          </li>
        }
      </ul>
    } @else {
      <p class="quiet" role="status">Reading the list …</p>
    }
  `,
  styles: `
    ul {
      list-style: none;
      padding: 0;
      max-width: 52rem;
    }
    li {
      border-bottom: 1px solid var(--line);
    }
    summary,
    li > p {
      min-height: 44px;
      margin: 0;
      padding: 0.6rem 0;
    }
    summary {
      cursor: pointer;
    }
    summary > *,
    li > p > * {
      margin-right: 0.5rem;
    }
    span {
      color: var(--ink2);
      margin-left: 0.5rem;
    }
    pre {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
      max-height: 22rem;
      overflow: auto;
      padding: 0.8rem;
      background: var(--face);
      font-size: 0.85rem;
    }
  `,
})
export class LicencesPage {
  private readonly list = inject(LICENCES);
  protected readonly licences = resource({
    loader: async () => licencesSchema.parse(await this.list()),
  });
}
