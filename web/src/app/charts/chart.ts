import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { isDay } from '@hypogeon/core/days';
import type { Cell } from '@hypogeon/core/formats';
import type { EChartsCoreOption, EChartsType } from 'echarts/core';
import { say } from '@hypogeon/messages/chart';
import { saveBlob, saveText } from '../data/save-text';
import { Spreadsheet } from '../data/spreadsheet';
import { Theme } from '../data/theme';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';
import type { ChartModel } from './chart-model';
import { pngOf } from './png';

/** What draws, fetched once: with the first chart, or before it where a page knows that one will come. */
export const fetchEngine = (): Promise<typeof import('./engine')> => import('./engine');

/** What moves a reader along the chart. */
const KEYS: Readonly<Record<string, (at: number, last: number) => number>> = {
  ArrowLeft: (at) => at - 1,
  ArrowRight: (at) => at + 1,
  PageUp: (at) => at - 10,
  PageDown: (at) => at + 10,
  Home: () => 0,
  End: (_, last) => last,
};

/**
 * The one chart: in the page's own type and colours, follows its theme and size, is read by pointer, thumb and arrow
 * keys, and has its table and its files under it.
 */
@Component({
  selector: 'hy-chart',
  imports: [MatButton, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      #place
      class="place"
      role="img"
      tabindex="0"
      [attr.aria-label]="model().says"
      [style.height.px]="tall()"
      (keydown)="key($event)"
      (blur)="leave()"
    ></div>
    <p class="cdk-visually-hidden" aria-live="polite">{{ spoken() }}</p>
    @if (failed() !== '') {
      <p class="problem" role="alert">{{ failed() }}</p>
    }
    <details class="no-print" (toggle)="opened.set(box.open)" #box>
      <summary>{{ say.theSameAsA() }}</summary>
      @if (opened()) {
        <hy-table [name]="name()" [columns]="columns()" [rows]="model().table.rows" />
        <p class="files">
          <button type="button" matButton="outlined" (click)="csv()">{{ say.csv() }}</button>
          <button type="button" matButton="outlined" (click)="svg()">{{ say.svg() }}</button>
          <button type="button" matButton="outlined" (click)="png()">{{ say.png() }}</button>
        </p>
      }
    </details>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    .place {
      width: 100%;
      max-width: 980px;
    }
    .files {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      margin-top: 0.8rem;
    }
    @media print {
      .place {
        height: auto !important;
        break-inside: avoid;
      }
      .place ::ng-deep > div,
      .place ::ng-deep svg {
        position: static !important;
        width: 100% !important;
        height: auto !important;
      }
    }
  `,
})
export class Chart {
  protected readonly say = say;

  private readonly theme = inject(Theme);
  private readonly words = inject(Words);
  private readonly spreadsheet = inject(Spreadsheet);
  /** What it shows: the name of its files. */
  readonly name = input.required<string>();
  readonly model = input.required<ChartModel>();
  readonly tall = input(320);

  protected readonly opened = signal(false);
  protected readonly failed = signal('');
  protected readonly columns = computed((): readonly Column<readonly Cell[]>[] =>
    this.model().table.header.map((head, i) => ({
      key: String(i),
      head,
      text: (row) => this.shown(row[i] ?? ''),
      sort: (row) => row[i] ?? null,
      ...(i > 0 ? { number: true } : {}),
    })),
  );
  /** Days as they are read here; files keep them as they are. */
  private shown(cell: Cell): string {
    return typeof cell === 'string' && isDay(cell) ? this.words.day(cell) : String(cell);
  }

  /** Which stop the keys stand on. */
  private readonly at = signal<number | null>(null);
  protected readonly spoken = computed(() => {
    const at = this.at();
    return at === null ? '' : (this.model().stops[at]?.says ?? '');
  });

  private readonly place = viewChild.required<ElementRef<HTMLElement>>('place');
  private readonly wide = signal(0);
  private chart: EChartsType | null = null;
  private gone = false;

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.gone = true;
      this.sizes?.disconnect();
      this.paper.removeEventListener('change', this.reprint);
      this.chart?.dispose();
    });
    this.paper.addEventListener('change', this.reprint);
    afterRenderEffect(() => {
      const option = this.model().option;
      this.theme.shown();
      const wide = this.wide() || this.place().nativeElement.clientWidth;
      void this.draw(() => option(inkOf, wide));
    });
  }

  private readonly paper = matchMedia('print');
  /** Paper has its own inks. */
  private readonly reprint = (): void => {
    const { option } = this.model();
    this.chart?.setOption(
      this.dressed(option(inkOf, this.place().nativeElement.clientWidth)),
      true,
    );
    this.chart?.getZr().flush();
    // A sheet is as wide as it is: the drawing shrinks to it as a whole.
    const svg = this.place().nativeElement.querySelector('svg');
    if (!svg) return;
    if (this.paper.matches)
      svg.setAttribute(
        'viewBox',
        `0 0 ${svg.getAttribute('width') ?? 0} ${svg.getAttribute('height') ?? 0}`,
      );
    else svg.removeAttribute('viewBox');
  };
  private sizes: ResizeObserver | null = null;

  private async draw(option: () => EChartsCoreOption): Promise<void> {
    try {
      this.chart ??= await this.begin();
      this.chart?.setOption(this.dressed(option()), true);
      this.failed.set('');
    } catch {
      this.failed.set(say.theDrawingCouldNot());
    }
  }

  private async begin(): Promise<EChartsType | null> {
    const { begin } = await fetchEngine();
    if (this.gone) return null;
    const element = this.place().nativeElement;
    const chart = begin(element, null, { renderer: 'svg' });
    this.sizes = new ResizeObserver(() => {
      // On paper it is scaled as a whole.
      if (this.paper.matches) return;
      chart.resize();
      this.wide.set(element.clientWidth);
    });
    this.sizes.observe(element);
    return chart;
  }

  protected key(event: KeyboardEvent): void {
    const last = this.model().stops.length - 1;
    const move = KEYS[event.key];
    if (event.key === 'Escape') this.leave();
    if (!move || last < 0) return;
    event.preventDefault();
    const at = Math.min(
      last,
      Math.max(0, move(this.at() ?? (event.key === 'ArrowLeft' ? last + 1 : -1), last)),
    );
    this.at.set(at);
    this.chart?.dispatchAction({ type: 'showTip', seriesIndex: 0, dataIndex: at });
  }

  protected leave(): void {
    this.at.set(null);
    this.chart?.dispatchAction({ type: 'hideTip' });
  }

  protected csv(): void {
    const { table, file = table } = this.model();
    const { header, rows } = file;
    this.spreadsheet.save(this.name(), header, rows);
  }

  protected svg(): void {
    const text = this.drawing();
    if (text) saveText(`${this.name()}.svg`, text, 'image/svg+xml');
  }

  protected async png(): Promise<void> {
    try {
      const text = this.drawing();
      if (text) saveBlob(`${this.name()}.png`, await pngOf(text, inkOf('--paper')));
    } catch {
      this.failed.set(say.thisBrowserDoesNot());
    }
  }

  /** As it stands on the page: what the library writes as text has names of faces in bare quotation marks. */
  private drawing(): string | null {
    this.leave();
    const svg = this.place().nativeElement.querySelector('svg');
    return svg && new XMLSerializer().serializeToString(svg);
  }

  /** The page's face, no movement, our own tooltip, and a series to read the stops by. */
  private dressed(option: EChartsCoreOption): EChartsCoreOption {
    const { stops } = this.model();
    const reader = {
      type: 'line',
      name: 'reader',
      symbol: 'none',
      lineStyle: { opacity: 0 },
      data: stops.map((s) => [s.x, s.y ?? 0]),
    };
    const says = (at: number): string =>
      stops.reduce<{ readonly far: number; readonly says: string }>(
        (best, s) =>
          Math.abs(s.x - at) < best.far ? { far: Math.abs(s.x - at), says: s.says } : best,
        { far: Infinity, says: '' },
      ).says;
    return {
      ...option,
      animation: false,
      textStyle: { fontFamily: inkOf('--text-face'), color: inkOf('--ink2'), fontSize: 13 },
      tooltip: {
        trigger: 'axis',
        triggerOn: 'mousemove|click',
        confine: true,
        axisPointer: {
          type: 'line',
          snap: true,
          lineStyle: { color: inkOf('--ink'), type: [3, 3] },
        },
        backgroundColor: inkOf('--face'),
        borderColor: inkOf('--line'),
        textStyle: { color: inkOf('--ink'), fontFamily: inkOf('--text-face'), fontSize: 14 },
        extraCssText: 'max-width:20rem;white-space:normal;box-shadow:none;border-radius:6px',
        formatter: (
          hits: readonly {
            readonly axisValue: number | string;
            readonly dataIndex: number;
            readonly seriesIndex: number;
          }[],
        ) => {
          const read = hits.find((h) => h.seriesIndex === 0);
          return plain(
            read ? (stops[read.dataIndex]?.says ?? '') : says(Number(hits[0]?.axisValue)),
          );
        },
      },
      // Nothing lights up under the pointer: the tooltip says all, and a drawing keeps its inks.
      series: [reader, ...(option.series as object[])].map((one) => ({
        ...one,
        emphasis: { disabled: true },
      })),
      // Margins are ours: two plots over each other must stay in line.
      grid: each(option.grid, (one) => ({ ...one, outerBoundsMode: 'none' })),
      xAxis: each(option.xAxis, axisInk),
      yAxis: each(option.yAxis, axisInk),
    };
  }
}

/** A tooltip is written as HTML: what growers named is text all the same. */
function plain(text: string): string {
  const holder = document.createElement('span');
  holder.textContent = text;
  return holder.innerHTML;
}

const each = (axis: unknown, dye: (one: object) => object): unknown =>
  Array.isArray(axis) ? axis.map((one) => dye(one as object)) : dye(axis as object);

/** Axes in the page's second ink, which the library's own grey is not; no box round the plot. */
function axisInk(axis: object): object {
  const own = axis as Record<string, object | undefined>;
  return {
    ...axis,
    axisLine: { show: false, ...own.axisLine },
    axisTick: { show: false, ...own.axisTick },
    splitLine: { lineStyle: { color: inkOf('--line') }, ...own.splitLine },
    axisLabel: { color: inkOf('--ink2'), fontSize: 13, hideOverlap: true, ...own.axisLabel },
    nameTextStyle: { color: inkOf('--ink2'), fontSize: 13, ...own.nameTextStyle },
  };
}

function inkOf(token: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(token).trim();
}
