/** Stands for echarts in component tests: real charts are driven in the browser. */
const nothing = {};
export const use = (): void => undefined;
export const init = () => ({
  setOption: () => undefined,
  resize: () => undefined,
  dispose: () => undefined,
  dispatchAction: () => undefined,
  getZr: () => ({ flush: () => undefined }),
});
export const BarChart = nothing;
export const CustomChart = nothing;
export const LineChart = nothing;
export const ScatterChart = nothing;
export const DataZoomComponent = nothing;
export const GridComponent = nothing;
export const LegendPlainComponent = nothing;
export const MarkAreaComponent = nothing;
export const MarkLineComponent = nothing;
export const TitleComponent = nothing;
export const TooltipComponent = nothing;
export const SVGRenderer = nothing;
