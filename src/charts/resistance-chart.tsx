'use client';
import { useEffect, useRef } from 'react';
import { useComputedColorScheme } from '@mantine/core';
import { echarts } from './echarts-core';
import { buildResistanceOption, type ChartInk, type Curve, type MainCurve, type MomentSpan } from './resistance-series';

interface Props {
  /** Null: axes and the other curve only, with `span` as the moment axis. */
  readonly main: MainCurve | null;
  readonly span?: MomentSpan | null;
  readonly other: Curve | null;
  readonly peakAt: number;
  readonly peakNm: number;
  readonly rightAngleAt: number | null;
  readonly height: number;
  readonly label: string;
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

/** Resistance over the rep; redrawn as things are dragged. */
export default function ResistanceChart({
  main,
  other,
  peakAt,
  peakNm,
  rightAngleAt,
  height,
  label,
  span = null,
}: Props) {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<ReturnType<typeof echarts.init> | null>(null);
  const look = useRef<{
    readonly scheme: string;
    readonly ink: ChartInk;
    readonly hatch: object;
    readonly fontFamily: string;
  } | null>(null);
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
      look.current = {
        scheme,
        ink,
        hatch: hatchTile(ink.quiet),
        fontFamily: getComputedStyle(box.current!).fontFamily,
      };
    }
    const { ink, hatch, fontFamily } = look.current;
    const option = buildResistanceOption({ main, other, peakAt, peakNm, rightAngleAt, ink, hatch, fontFamily, span });
    chart.current?.setOption(option, { replaceMerge: ['series'], lazyUpdate: true });
  }, [main, other, peakAt, peakNm, rightAngleAt, scheme, span]);
  return <div ref={box} role="img" aria-label={label} style={{ height, width: '100%' }} />;
}
