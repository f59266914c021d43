import { ScatterChart } from 'echarts/charts';
import { use as register } from 'echarts/core';
import { useEffect } from 'react';
import { colour, deskAxis, deskChart, useChart } from '../../../shared/ui/chart';
import { shareWords } from '../../../shared/ui/share';
import { middles, type Beside, type Good } from './corners';

register([ScatterChart]);

interface Props {
  goods: readonly Good[];
  beside: Beside;
  open: (id: string) => void;
}

/** Each product as a point: how often it is seen from left to right, and upwards what it is set beside. */
export default function Scatter({ goods, beside, open }: Props) {
  const { box, chart } = useChart();
  useEffect(() => {
    if (!chart) return;
    const { seen, high } = middles(goods, beside);
    const [ink, petrol] = [colour('ink-2'), colour('petrol')];
    const axis = deskAxis();
    const upwards = (value: number) => (beside === 'margin' ? `${value} %` : String(value));
    const shown = goods.filter((good) => good[beside] !== null);
    const scale = beside === 'margin' ? 100 : 1;
    chart.setOption(
      {
        ...deskChart(12),
        grid: { left: 56, right: 24, top: 28, bottom: 44 },
        xAxis: {
          ...axis,
          type: 'log',
          min: 10 ** Math.floor(Math.log10(Math.max(0.01, Math.min(...shown.map(({ share }) => share)) / 100))),
          max: 100,
          name: 'visits that see it',
          nameLocation: 'middle',
          nameGap: 28,
          nameTextStyle: { color: ink },
          axisLabel: { color: ink, formatter: (value: number) => `${value} %` },
        },
        yAxis: {
          ...axis,
          type: 'value',
          name: beside === 'margin' ? 'margin' : 'sold in 90 days',
          nameTextStyle: { color: ink, align: 'left' },
          axisLabel: { color: ink, formatter: upwards },
        },
        tooltip: {
          formatter: ({ data }: { data: [number, number, string] }) =>
            `${data[2].replace(/[&<>]/g, ' ')}<br>${shareWords(data[0] * 100)} of visits · ${
              beside === 'margin' ? `margin ${data[1]} %` : `${data[1]} sold`
            }`,
        },
        series: [
          {
            type: 'scatter',
            symbolSize: goods.length > 1_000 ? 5 : 9,
            itemStyle: { color: petrol, opacity: 0.55 },
            emphasis: { itemStyle: { opacity: 1 } },
            data: shown.map((good) => [Math.max(0.01, good.share / 100), good[beside]! / scale, good.title, good.id]),
            markLine: {
              silent: true,
              symbol: 'none',
              label: { show: false },
              lineStyle: { color: ink, type: 'dashed', opacity: 0.6 },
              data: [{ xAxis: Math.max(0.01, seen / 100) }, { yAxis: high / scale }],
            },
          },
        ],
      },
      true,
    );
  }, [chart, goods, beside]);
  useEffect(() => {
    if (!chart) return;
    chart.off('click');
    chart.on('click', ({ data }) => open((data as [number, number, string, string])[3]));
  }, [chart, open]);
  return (
    <div
      ref={box}
      role="img"
      aria-label="Each product by how often visits see it; the four lists beside say the same in words"
      className="h-full min-h-80 w-full"
    />
  );
}
