import { HeatmapChart } from 'echarts/charts';
import { GridComponent, TooltipComponent, VisualMapComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

register([HeatmapChart, GridComponent, TooltipComponent, VisualMapComponent, CanvasRenderer]);

interface Props {
  /** collections in the order of rows and columns */
  names: readonly string[];
  counts: readonly number[];
  pairs: readonly { a: number; b: number; shared: number }[];
  choose: (a: number, b: number) => void;
}

const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--color-${name}`).trim();
const short = (name: string) => (name.length > 22 ? `${name.slice(0, 21)}…` : name);
/** A name as HTML that shows it to the letter. */
const asText = (name: string) => name.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
const CELL = 30;
/** Numbers in the squares are read while there are not too many of them. */
const MOST_LABELLED = 18;

/** Which collections share how much, as squares: the darker, the larger the part of the smaller one that is in both. */
export default function OverlapChart({ names, counts, pairs, choose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return;
    const chart = init(box.current);
    const part = ({ a, b, shared }: Props['pairs'][number]) => shared / Math.max(1, Math.min(counts[a]!, counts[b]!));
    const data = pairs.flatMap((pair) => [
      [pair.a, pair.b, part(pair), pair.shared],
      [pair.b, pair.a, part(pair), pair.shared],
    ]);
    const axis = {
      type: 'category' as const,
      axisTick: { show: false },
      axisLine: { lineStyle: { color: colour('line') } },
      splitLine: { show: true, lineStyle: { color: colour('hair') } },
    };
    chart.setOption({
      textStyle: { fontFamily: 'Instrument Sans Variable', color: colour('ink') },
      grid: { left: 150, top: 8, right: 8, bottom: 120 },
      xAxis: { ...axis, data: names.map(short), axisLabel: { rotate: 50, color: colour('ink-2'), interval: 0 } },
      yAxis: { ...axis, inverse: true, data: names.map(short), axisLabel: { color: colour('ink'), interval: 0 } },
      visualMap: {
        show: false,
        min: 0,
        max: 1,
        dimension: 2,
        inRange: { color: [colour('petrol-soft'), colour('petrol')] },
      },
      tooltip: {
        confine: true,
        formatter: ({ value }: { value: [number, number, number, number] }) => {
          const [a, b, share, shared] = value;
          return `${shared} in both<br>${Math.round(share * 100)} % of the smaller one<br>${asText(short(names[a]!))} (${counts[a]!}) and ${asText(short(names[b]!))} (${counts[b]!})`;
        },
      },
      series: [
        {
          type: 'heatmap',
          data,
          itemStyle: { borderColor: colour('sheet'), borderWidth: 1 },
          label: {
            show: names.length <= MOST_LABELLED,
            formatter: ({ value }: { value: number[] }) => String(value[3]),
          },
          animation: false,
        },
      ],
    });
    chart.on('click', ({ value }) => {
      const [a, b] = value as number[];
      choose(a!, b!);
    });
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(box.current);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [names, counts, pairs, choose]);
  return (
    <div
      ref={box}
      role="img"
      aria-label="Which collections share how many goods; the same stands in the list below"
      style={{ height: Math.max(260, names.length * CELL + 130), minWidth: Math.max(420, names.length * CELL + 160) }}
    />
  );
}
