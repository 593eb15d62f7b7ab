'use client';
import { useMediaQuery } from '@mantine/hooks';
import { useMemo } from 'react';
import { rightRep } from '@/core/fault/show-fault';
import { buildMovementScene } from '@/drawing/movement-scene';
import type { View, Window3 } from '@/drawing/view';
import { MovementFigure } from '@/features/movements/movement-figure';
import { useMovementViews, useMovementWindow } from '@/features/movements/use-movement-scene';
import { usePlaying } from '@/features/movements/use-playing';
import { WORDS } from '@/messages/screens/movements';
import type { Try } from './use-tries';
import styles from './spotting.module.css';

/** Both views over each other within a tablet's height, pixels. */
const ROOM = { width: 640, stacked: 600 };
/** The same on a phone, whose pad is to be seen as well. */
const SMALL_ROOM = { width: 350, stacked: 400 };
/** Room around the movement for the largest of its faults, the same whether there is one: metres. */
const ROOM_M = 0.16;
/** Most that is shown to either side of the body, metres. */
const WATCHED_M = 0.8;
const roomier = (w: Window3): Window3 => ({
  minX: w.minX - ROOM_M,
  maxX: w.maxX + ROOM_M,
  maxY: w.maxY + ROOM_M / 2,
  // A long bar goes on beyond the picture: what is watched is the body.
  minZ: Math.max(-WATCHED_M, w.minZ - ROOM_M),
  maxZ: Math.min(WATCHED_M, w.maxZ + ROOM_M),
});

interface Props {
  readonly shown: Try;
  /** It was said what was seen: the limb as it should be is outlined, and the hand's way drawn. */
  readonly isTold: boolean;
}

/** One view of the reps at a moment of them. */
function OneView({ shown, isTold, window: w, view, i, label }: Props & OfView) {
  const { answer, rep } = shown;
  const scene = useMemo(() => {
    const drawn = buildMovementScene({ ...rep, from: answer.from, i }, view);
    // On the floor nobody sees a line that the hand draws.
    return isTold ? drawn : { ...drawn, handPath: '' };
  }, [answer, rep, view, i, isTold]);
  const ghost = useMemo(
    () =>
      isTold && shown.shown ? buildMovementScene({ ...rightRep(answer), from: answer.from, i }, view).front : undefined,
    [isTold, shown, answer, view, i],
  );
  return (
    <MovementFigure
      scene={scene}
      view={view}
      window={w}
      column={answer.from.question.column?.column ?? null}
      hole={rep.placement?.hole ?? null}
      isNumbered={isTold}
      label={label}
      {...(ghost ? { ghost } : {})}
    />
  );
}

interface OfView {
  readonly window: Window3;
  readonly view: View;
  readonly i: number;
  readonly label: string;
}

/** Reps played at their tempo, from the side and from above. */
export function SpottingFigure({ shown, isTold }: Props) {
  const { entry, question } = shown.answer.from;
  const { i } = usePlaying(entry.tempo, entry.startsWith, null, true);
  const own = useMovementWindow(shown.answer, question.column?.column ?? null);
  const window3 = useMemo(() => roomier(own), [own]);
  // Drawn in the browser alone: known at once, so that nothing is drawn small first.
  const isSmall = useMediaQuery('(max-width: 900px)', false, { getInitialValueInEffect: false });
  const { elevation, plan } = useMovementViews(window3, isSmall ? SMALL_ROOM : ROOM);
  const common = { shown, isTold, window: window3, i };
  return (
    <div className={styles.views}>
      <OneView {...common} view={elevation} label={WORDS.sideViewToScale} />
      <OneView {...common} view={plan} label={WORDS.viewFromAboveSameScale} />
    </div>
  );
}
