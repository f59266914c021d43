import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef, useState, type RefObject } from 'react';

register([GridComponent, MarkLineComponent, TooltipComponent, CanvasRenderer]);

export type Chart = ReturnType<typeof init>;

/** A colour of the desk by its name, for what is drawn on a canvas. */
export const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();

/** An axis in the colours of the desk. */
export const deskAxis = () => ({
  axisLabel: { color: colour('ink-2') },
  axisLine: { lineStyle: { color: colour('line') } },
  splitLine: { show: false },
});

/** What every chart of the desk has. */
export const deskChart = (fontSize: number) => ({
  animation: false,
  textStyle: { fontFamily: getComputedStyle(document.body).fontFamily, fontSize },
});

/** A chart in a box, as large as it is: to be drawn with `setOption` once it is there. */
export function useChart(): { box: RefObject<HTMLDivElement | null>; chart: Chart | undefined } {
  const box = useRef<HTMLDivElement>(null);
  const [chart, setChart] = useState<Chart>();
  useEffect(() => {
    const made = init(box.current);
    setChart(made);
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(box.current!);
    return () => {
      observer.disconnect();
      made.dispose();
      setChart(undefined);
    };
  }, []);
  return { box, chart };
}
