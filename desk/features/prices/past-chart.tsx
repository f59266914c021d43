import { BarChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

register([BarChart, GridComponent, TooltipComponent, CanvasRenderer]);

const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();

/** How many orders an offer would have taken how much off, by parts of five per cent. */
export default function PastChart({ distribution }: { distribution: readonly number[] }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const chart = init(box.current);
    const last = distribution.findLastIndex((orders) => orders > 0);
    const shown = distribution.slice(0, Math.max(8, last + 1));
    const axis = {
      axisLabel: { color: colour('ink-2') },
      axisLine: { lineStyle: { color: colour('line') } },
      splitLine: { show: false },
    };
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: getComputedStyle(document.body).fontFamily, fontSize: 11 },
      grid: { left: 36, right: 8, top: 12, bottom: 24 },
      xAxis: { ...axis, type: 'category', data: shown.map((_, i) => `${i * 5}–${i * 5 + 5} %`) },
      yAxis: { ...axis, type: 'value', minInterval: 1 },
      tooltip: { formatter: ({ name, value }: { name: string; value: number }) => `${value} orders: ${name} off` },
      series: [{ type: 'bar', data: [...shown], itemStyle: { color: colour('petrol') }, barCategoryGap: '20%' }],
    });
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(box.current!);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [distribution]);
  return <div ref={box} className="h-36 w-full" aria-hidden="true" />;
}
