import type { Ink } from './chart-model';

/** The strip under a long chart that picks the stretch to look at. */
export function sliderZoom(ink: Ink, more: object = {}): object {
  return {
    type: 'slider',
    height: 26,
    bottom: 4,
    showDetail: false,
    brushSelect: false,
    borderColor: ink('--line'),
    fillerColor: `${ink('--living-soft')}88`,
    handleStyle: { borderColor: ink('--living'), color: ink('--face') },
    moveHandleStyle: { color: ink('--living') },
    dataBackground: {
      lineStyle: { color: ink('--soil') },
      areaStyle: { color: ink('--soil-soft') },
    },
    ...more,
  };
}
