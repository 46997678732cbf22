import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatRipple } from '@angular/material/core';
import { plantDrawn, plantOf } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/mother-wall';
import { PlantPicture } from '../marks/plant-picture';
import { Journal } from '../data/journal';

/** All mothers as pictures: one is chosen by a tap. */
@Component({
  selector: 'hy-mother-wall',
  imports: [MatRipple, PlantPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'group', '[attr.aria-label]': 'say.whoseCuttings()' },
  template: `
    @for (m of mothers(); track m.id) {
      <button type="button" matRipple (click)="choose.emit(m.id)">
        <hy-plant [drawn]="m.drawn" [size]="104" />
        <strong>{{ m.name }}</strong>
        <i class="quiet small">{{ m.plant }}</i>
      </button>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(10.5rem, 1fr));
      gap: 0.75rem;
    }
    button {
      display: grid;
      justify-items: center;
      align-content: start;
      gap: 0.1rem;
      padding: 0.5rem 0.6rem 0.8rem;
      border: 1px solid var(--line);
      border-radius: 6px;
      background: var(--face);
      color: var(--ink);
      font: inherit;
      line-height: 1.25;
      text-align: center;
      overflow-wrap: anywhere;
      cursor: pointer;
    }
    button:hover {
      border-color: var(--living);
    }
    @media (max-width: 480px) {
      :host {
        grid-template-columns: repeat(2, minmax(0, 1fr));
      }
    }
  `,
})
export class MotherWall {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  /** Those that are chosen already. */
  readonly without = input<ReadonlySet<string>>(new Set());
  readonly choose = output<string>();

  protected readonly mothers = computed(() => {
    const state = this.state();
    return [...state.mothers.values()]
      .filter((m) => !this.without().has(m.id))
      .map(({ id, name, taxon }) => {
        const plant = plantOf(state, taxon ?? '');
        return {
          id,
          name: name ?? say.aMother(),
          plant: plant?.name ?? '',
          drawn: plantDrawn(plant?.taxon),
        };
      });
  });
}
