import { LineChart } from 'echarts/charts';
import { use as register } from 'echarts/core';
import { useEffect } from 'react';
import { formatMoney } from '../../../core/shared/money';
import { momentWords } from '../../../core/shared/moment';
import type { PriceHistoryAnswer } from '../../data/offers';
import { colour, deskAxis, deskChart, useChart } from '../../shared/ui/chart';

register([LineChart]);

interface Props {
  history: PriceHistoryAnswer;
  currency: string;
  timeZone: string;
}

/** What a variant cost along time: what was asked, the list price behind it, and a line for each edition that changed it. */
export default function HistoryChart({ history: { steps, editions, now }, currency, timeZone }: Props) {
  const { box, chart } = useChart();
  useEffect(() => {
    const money = (amount: number) => formatMoney(amount, currency);
    const line = (read: (step: (typeof steps)[number]) => number) =>
      [...steps, { ...steps.at(-1)!, at: now }].map((step) => [Date.parse(step.at), read(step)]);
    const lowest = Math.min(...steps.map(({ price }) => price));
    chart?.setOption({
      ...deskChart(11),
      grid: { left: 52, right: 10, top: 20, bottom: 22 },
      xAxis: { ...deskAxis(), type: 'time', splitNumber: 4 },
      yAxis: {
        ...deskAxis(),
        type: 'value',
        min: Math.floor((lowest * 0.9) / 100) * 100,
        splitNumber: 3,
        axisLabel: { color: colour('ink-2'), formatter: money, showMinLabel: false },
      },
      tooltip: {
        trigger: 'axis',
        formatter: ([point]: { value: [number, number] }[]) =>
          point ? `${momentWords(new Date(point.value[0]).toISOString(), timeZone)}<br>${money(point.value[1])}` : '',
      },
      series: [
        {
          type: 'line',
          step: 'end',
          symbol: 'none',
          data: line(({ price }) => price),
          lineStyle: { color: colour('petrol'), width: 2 },
          itemStyle: { color: colour('petrol') },
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: colour('line'), type: 'solid' },
            label: { formatter: '{b}', color: colour('ink-2'), fontSize: 10 },
            data: editions.map(({ at, number }) => ({ xAxis: Date.parse(at), name: String(number) })),
          },
        },
        {
          type: 'line',
          step: 'end',
          symbol: 'none',
          data: line(({ list }) => list),
          lineStyle: { color: colour('ink-3'), width: 1, type: 'dashed' },
          itemStyle: { color: colour('ink-3') },
        },
      ],
    });
  }, [chart, steps, editions, now, currency, timeZone]);
  return <div ref={box} className="h-40 w-full" aria-hidden="true" />;
}
