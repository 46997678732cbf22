import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import {
  MatExpansionPanel,
  MatExpansionPanelDescription,
  MatExpansionPanelHeader,
  MatExpansionPanelTitle,
} from '@angular/material/expansion';
import { MatOption, MatSelect } from '@angular/material/select';
import { coursesFor } from '@hypogeon/core/botany';
import { COURSES } from '@hypogeon/core/course';
import { DISINFECTANTS } from '@hypogeon/core/safety';
import { FIRST_WATER, WATER_SCHOOL } from '@hypogeon/core/water';
import { AID, WOUND_SCHOOL } from '@hypogeon/core/wound';
import { COURSE_WORDS } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/plan-defaults';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { PlanCut } from './plan-cut';
import { numberOrNone } from './dry-days';
import { PlanDesk } from './plan-desk';
import { DISINFECTANT_WORD, type PlanDraft } from './plan-draft';
import { Protocols } from './protocols';

/** How it is done, in one line of what is usual; all of it can be changed. */
@Component({
  selector: 'hy-plan-defaults',
  imports: [
    MatExpansionPanel,
    MatExpansionPanelDescription,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    Protocols,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan-defaults.html',
  styles: `
    mat-panel-title {
      flex: none;
      color: var(--living);
      font-weight: 650;
    }
    mat-panel-description {
      color: var(--ink2);
      font-size: 0.9rem;
      line-height: 1.3;
    }
  `,
})
export class PlanDefaults {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  protected readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);
  protected readonly draft = this.desk.draft;
  protected readonly figures = this.cut.figures;
  protected readonly open = signal(false);
  /** What is seldom changed is folded, with what it stands at. */
  protected readonly more = signal(false);

  protected readonly schools = Object.values(WOUND_SCHOOL);
  protected readonly waterSchools = Object.values(WATER_SCHOOL);
  protected readonly firstWaters = Object.values(FIRST_WATER);
  protected readonly aids = Object.values(AID);
  protected readonly disinfectants = DISINFECTANTS;
  protected readonly disinfectantWord = DISINFECTANT_WORD;

  constructor() {
    // What is wrong is not hidden in a closed drawer.
    effect(() => {
      const { width, thickness, containers, dryDays } = this.cut.problems();
      if (width || thickness || containers || dryDays) this.open.set(true);
      if (thickness || containers || dryDays) this.more.set(true);
    });
  }

  private readonly spaceName = (id: string): string =>
    this.desk.spaces().find((s) => s.id === id)?.name ?? '';

  /** What is usual, or chosen, in one line. */
  protected readonly line = computed(() => {
    const d = this.draft();
    const wound = this.figures()?.wound;
    const [dries, grows] = [
      this.spaceName(this.desk.callusSpace()),
      this.spaceName(this.desk.space()),
    ];
    const days = numberOrNone(d.dryDays);
    const pot = this.desk.containers().find((c) => c.id === d.container)?.name;
    const mix = this.desk.mixes().find((m) => m.id === d.mix)?.name;
    return [
      wound
        ? days === undefined
          ? WOUND_SCHOOL[this.cut.school()].name
          : say.daysDry({ days })
        : '',
      wound && dries !== grows ? say.then({ dries, grows }) : grows,
      [mix, pot].filter(Boolean).join(', ') || say.mixAndPotNot(),
      FIRST_WATER[d.firstWater].name,
    ]
      .filter(Boolean)
      .join(' · ');
  });

  /** What is folded, as it stands. */
  protected readonly moreLine = computed(() => {
    const d = this.draft();
    const wound = this.figures()?.wound;
    return [
      wound ? say.blade2({ disinfectantWord: DISINFECTANT_WORD[d.disinfectant] }) : '',
      wound ? say.onTheWound2({ name: inSentence(AID[d.aid].name) }) : '',
      d.waterSchool === ''
        ? say.wateredAsSuitsIt()
        : this.words.rule(WATER_SCHOOL[d.waterSchool].name).toLowerCase(),
      d.place.trim(),
    ]
      .filter(Boolean)
      .join(' · ');
  });

  protected readonly usualWidth = computed(() => {
    const wound = this.figures()?.wound;
    return wound ? say.usually({ length: this.words.length(wound.widthMm) }) : '';
  });
  protected readonly usualThickness = computed(() => {
    const thickness = this.figures()?.wound?.thicknessMm;
    return thickness === undefined ? '' : say.usually({ length: this.words.length(thickness) });
  });

  /** All courses this plant and way can go through, the usual one first. */
  protected readonly courses = computed(() => {
    const plant = this.desk.plant();
    const figures = this.figures();
    if (!plant || !figures) return [];
    const [usual, ...others] = coursesFor(plant.taxon, figures.method, figures.wound);
    return [
      { id: '' as const, name: say.asUsual({ name: COURSE_WORDS[usual!].name }) },
      ...others.map((id) => ({ id, name: COURSE_WORDS[id].name })),
    ];
  });
  protected readonly courseSays = computed(() => {
    const { course } = this.draft();
    return course === '' ? '' : COURSE_WORDS[course].says;
  });

  /** What a routine would be made of. */
  protected readonly asProtocol = computed(() => {
    const {
      callusAt,
      disinfectant,
      aid,
      firstWater,
      waterSchool,
      mix,
      container,
      course,
      dryDays,
    } = this.draft();
    return {
      course: course || null,
      dryDays: numberOrNone(dryDays) ?? null,
      school: this.cut.school(),
      callusAt,
      disinfectant,
      aid,
      firstWater,
      waterSchool: waterSchool || null,
      mix: mix || null,
      container: container || null,
    };
  });

  /** A routine fills in what it names; the rest stays. */
  protected useProtocol(named: Partial<PlanDraft>): void {
    this.desk.put(named);
  }

  protected setSchool(id: string): void {
    this.desk.set('school', this.schools.find((s) => s.id === id)?.id ?? '');
  }
  protected setWaterSchool(id: string): void {
    this.desk.set('waterSchool', this.waterSchools.find((s) => s.id === id)?.id ?? '');
  }
  protected setFirstWater(id: string): void {
    this.desk.set('firstWater', this.firstWaters.find((f) => f.id === id)?.id ?? 'with-gate');
  }
  protected setDisinfectant(id: string): void {
    this.desk.set('disinfectant', DISINFECTANTS.find((d) => d === id) ?? 'none');
  }
  protected setAid(id: string): void {
    this.desk.set('aid', this.aids.find((a) => a.id === id)?.id ?? 'none');
  }
  protected setCourse(id: string): void {
    this.desk.set('course', COURSES.find((c) => c === id) ?? '');
  }
}
