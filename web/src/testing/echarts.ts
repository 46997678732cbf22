/** Stands for echarts in component tests: real charts are driven in the browser. */
const nothing = {};
export const use = (): void => undefined;
export const init = () => ({
  setOption: () => undefined,
  resize: () => undefined,
  dispose: () => undefined,
  getDataURL: () => 'data:,',
});
export const LineChart = nothing;
export const BarChart = nothing;
export const GridComponent = nothing;
export const TooltipComponent = nothing;
export const DataZoomComponent = nothing;
export const CanvasRenderer = nothing;
export const SVGRenderer = nothing;
