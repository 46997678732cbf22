import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { BarChart, LineChart } from 'echarts/charts';
import { DataZoomComponent, GridComponent, TooltipComponent } from 'echarts/components';
import { init, use, type EChartsCoreOption, type EChartsType } from 'echarts/core';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';
import { Theme } from '../data/theme';

use([
  LineChart,
  BarChart,
  GridComponent,
  TooltipComponent,
  DataZoomComponent,
  CanvasRenderer,
  SVGRenderer,
]);

/** Colours of the page by name, `--water`; a canvas knows no CSS. */
export type Ink = (token: string) => string;

/** A chart in the page's own type and colours, that follows its theme and size. */
@Component({
  selector: 'hy-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div
    #place
    class="place"
    role="img"
    [attr.aria-label]="label()"
    [style.height.px]="tall()"
  ></div>`,
  styles: `
    :host {
      display: block;
    }
    .place {
      width: 100%;
    }
  `,
})
export class Chart {
  private readonly theme = inject(Theme);
  readonly label = input.required<string>();
  readonly tall = input(320);
  /** Made anew for every theme, with its colours. */
  readonly option = input.required<(ink: Ink) => EChartsCoreOption>();
  private readonly place = viewChild.required<ElementRef<HTMLElement>>('place');
  private chart: EChartsType | null = null;

  constructor() {
    const destroy = inject(DestroyRef);
    afterRenderEffect(() => {
      const option = this.option();
      this.theme.choice();
      const element = this.place().nativeElement;
      if (!this.chart) {
        this.chart = init(element);
        const sizes = new ResizeObserver(() => this.chart?.resize());
        sizes.observe(element);
        destroy.onDestroy(() => {
          sizes.disconnect();
          this.chart?.dispose();
        });
      }
      // A canvas draws with whatever face is there: ours must be.
      void document.fonts.ready.then(() => this.chart?.setOption(withFace(option(inkOf)), true));
    });
  }

  /** The picture as a file. */
  save(name: string, type: 'png' | 'svg'): void {
    const option = { ...withFace(this.option()(inkOf)), animation: false };
    const { clientWidth: width, clientHeight: height } = this.place().nativeElement;
    const room = document.createElement('div');
    const drawn = init(room, null, {
      renderer: type === 'svg' ? 'svg' : 'canvas',
      width,
      height,
      devicePixelRatio: 2,
    });
    drawn.setOption(option);
    const url = drawn.getDataURL({ type, pixelRatio: 2, backgroundColor: inkOf('--paper') });
    drawn.dispose();
    const link = document.createElement('a');
    link.href = url;
    link.download = `${name}.${type}`;
    link.click();
  }
}

/** Axes in the page's second ink, which the library's own grey is not. */
function coloured(option: EChartsCoreOption): EChartsCoreOption {
  const label = {
    axisLabel: { color: inkOf('--ink2') },
    nameTextStyle: { color: inkOf('--ink2') },
  };
  const dye = (axis: unknown): unknown =>
    Array.isArray(axis) ? axis.map(dye) : { ...label, ...(axis as object) };
  return { ...option, xAxis: dye(option.xAxis), yAxis: dye(option.yAxis) };
}

function inkOf(token: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(token).trim();
}

function withFace(option: EChartsCoreOption): EChartsCoreOption {
  return {
    textStyle: { fontFamily: inkOf('--text-face'), color: inkOf('--ink2'), fontSize: 13 },
    animation: false,
    ...coloured(option),
  };
}
