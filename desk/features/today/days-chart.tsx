import { BarChart, LineChart } from 'echarts/charts';
import { use as register } from 'echarts/core';
import { format } from 'date-fns';
import { useEffect } from 'react';
import type { Today } from '../../data/today';
import { colour, deskAxis, deskChart, useChart } from '../../shared/ui/chart';

register([BarChart, LineChart]);

interface Props {
  series: Today['series'];
  /** money in words */
  money: (minor: number) => string;
}

/** Money day by day as bars, visits as a line. The same stands in a table beside it. */
export default function DaysChart({ series, money }: Props) {
  const { box, chart } = useChart();
  useEffect(() => {
    chart?.setOption({
      ...deskChart(11),
      grid: { left: 8, right: 8, top: 10, bottom: 24, containLabel: true },
      xAxis: {
        ...deskAxis(),
        type: 'category',
        data: series.map(({ day }) => format(new Date(`${day}T12:00:00Z`), 'd MMM')),
      },
      yAxis: [
        {
          ...deskAxis(),
          type: 'value',
          axisLabel: { color: colour('ink-2'), formatter: (value: number) => money(value).replace(/[.,]00$/, '') },
        },
        { ...deskAxis(), type: 'value', minInterval: 1, axisLabel: { show: false } },
      ],
      tooltip: {
        trigger: 'axis',
        formatter: ([first]: { dataIndex: number; name: string }[]) => {
          const { orders, value, visits } = series[first!.dataIndex]!;
          return `${first!.name}: ${money(value)}, ${orders} ${orders === 1 ? 'order' : 'orders'}, ${visits} visits`;
        },
      },
      series: [
        {
          type: 'bar',
          data: series.map(({ value }) => value),
          itemStyle: { color: colour('petrol') },
          barCategoryGap: '30%',
        },
        {
          type: 'line',
          yAxisIndex: 1,
          data: series.map(({ visits }) => visits),
          showSymbol: false,
          lineStyle: { color: colour('marigold'), width: 2 },
        },
      ],
    });
  }, [chart, series, money]);
  return <div ref={box} className="h-44 w-full" aria-hidden="true" />;
}
