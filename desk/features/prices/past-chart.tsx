import { BarChart } from 'echarts/charts';
import { use as register } from 'echarts/core';
import { useEffect } from 'react';
import { colour, deskAxis, deskChart, useChart } from '../../shared/ui/chart';

register([BarChart]);

/** How many orders an offer would have taken how much off, by parts of five per cent. */
export default function PastChart({ distribution }: { distribution: readonly number[] }) {
  const { box, chart } = useChart();
  useEffect(() => {
    const last = distribution.findLastIndex((orders) => orders > 0);
    const shown = distribution.slice(0, Math.max(8, last + 1));
    chart?.setOption({
      ...deskChart(11),
      grid: { left: 36, right: 8, top: 12, bottom: 24 },
      xAxis: { ...deskAxis(), type: 'category', data: shown.map((_, i) => `${i * 5}–${i * 5 + 5} %`) },
      yAxis: { ...deskAxis(), type: 'value', minInterval: 1 },
      tooltip: { formatter: ({ name, value }: { name: string; value: number }) => `${value} orders: ${name} off` },
      series: [{ type: 'bar', data: [...shown], itemStyle: { color: colour('petrol') }, barCategoryGap: '20%' }],
    });
  }, [chart, distribution]);
  return <div ref={box} className="h-36 w-full" aria-hidden="true" />;
}
