import { useComputedColorScheme } from '@mantine/core';
import { useEffect, useRef } from 'react';
import { echarts, type ECOption } from './echarts-core';

/** Colours a chart needs, read from the page's theme. */
export interface ChartInk {
  readonly ink: string;
  readonly quiet: string;
  readonly hairline: string;
  readonly pull: string;
  readonly setThis: string;
  readonly paper: string;
}

/** How a chart looks on this page and in this theme. */
export interface ChartLook {
  readonly ink: ChartInk;
  readonly hatch: object | string;
  readonly fontFamily: string;
}

/** Diagonal hatching as a repeatable tile: the rest zone is told by texture, not by colour alone. */
function hatchTile(colour: string): object {
  const size = 8;
  const tile = document.createElement('canvas');
  tile.width = size;
  tile.height = size;
  const c = tile.getContext('2d')!;
  c.strokeStyle = colour;
  c.lineWidth = 1;
  c.beginPath();
  for (const x of [-size, 0, size]) {
    c.moveTo(x, size);
    c.lineTo(x + size, 0);
  }
  c.stroke();
  return { image: tile, repeat: 'repeat' };
}

function readInk(node: HTMLElement): ChartInk {
  const style = getComputedStyle(node);
  const of = (name: string): string => style.getPropertyValue(name).trim();
  return {
    ink: of('--ink'),
    quiet: of('--ink-quiet'),
    hairline: of('--hairline'),
    pull: of('--pull'),
    setThis: of('--set-this'),
    paper: of('--paper'),
  };
}

/** A chart in a box of the page, as wide as the box; `build` makes it, and is kept the same while nothing changes. */
export function useChart(build: (look: ChartLook) => ECOption) {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<ReturnType<typeof echarts.init> | null>(null);
  const look = useRef<(ChartLook & { readonly scheme: string }) | null>(null);
  const scheme = useComputedColorScheme('light');
  useEffect(() => {
    const node = box.current!;
    const made = echarts.init(node);
    chart.current = made;
    const watch = new ResizeObserver(() => made.resize());
    watch.observe(node);
    return () => {
      watch.disconnect();
      made.dispose();
      chart.current = null;
    };
  }, []);
  useEffect(() => {
    // Colours and hatching are read once for a theme, not for every place on the way of a finger.
    if (look.current?.scheme !== scheme) {
      const ink = readInk(box.current!);
      const { fontFamily } = getComputedStyle(box.current!);
      look.current = { scheme, ink, hatch: hatchTile(ink.quiet), fontFamily };
    }
    chart.current?.setOption(build(look.current), { replaceMerge: ['series'], lazyUpdate: true });
  }, [build, scheme]);
  return box;
}
