'use client';
import { useDeferredValue, useMemo, useState } from 'react';
import { between } from '@/core/geometry/vector';
import { toFloor } from '@/core/geometry/rotation';
import { toRad } from '@/core/units/angle';
import { windowFor } from '@/drawing/setup-scene';
import { useFloorLog, type FloorLog } from '@/offline/use-floor-log';
import type { SavedSetup } from '@/core/record/floor-event';
import { jointDegAt, jointOf } from '@/core/movement/joint-action';
import { loadText } from '@/messages/loads';
import { usePlaying } from '@/features/movements/use-playing';
import { useLatest } from '@/features/shell/use-latest';
import { BenchCurve } from './bench-curve';
import { BenchNotices, ClientNotes } from './bench-notices';
import { BenchPanels } from './bench-panels';
import { Blocked } from './blocked';
import { Elevation } from './elevation';
import { fitMoves } from './fit-moves';
import { Plan } from './plan';
import { withMove, type Move } from './move-placement';
import { SettingPlates } from './setting-plates';
import { SidePanel } from './side-panel';
import { samePlacement } from './setup-machine';
import { twoCables } from './place-text';
import type { SetupBenchView } from '@/contract/views/setup';
import { useBeside } from './use-beside';
import { useFollowing } from './use-following';
import { useOpenedWith, type Hands } from './use-opened-with';
import { useToTheSet } from './to-the-set';
import { useSetup, type BenchSetup } from './use-setup';
import { useBenchViews } from './use-bench-views';
import type { Practice } from '@/core/book/practice';
import { withOurSides } from '@/core/book/practice-effect';
import type { Question } from '@/core/book/question';
import { WORDS } from '@/messages/screens/setup';
import { useBenchTools } from './use-bench-tools';
import { BenchTitle } from './bench-title';
import styles from './setup.module.css';

interface Props {
  readonly context: SetupBenchView;
  readonly question: Question;
}

/** The set-up bench: the drawing is the control, the plates are the answer. Opens as it was last saved here. */
export function SetupBench({ context, question }: Props) {
  const { client, item, station } = context;
  const floor = useFloorLog(
    { clientId: client.id, itemId: item.id, movement: item.movement },
    context.events,
    context.planned,
  );
  const saved =
    floor.began.setups.findLast((s) => s.itemId === item.id && s.stationId === (station?.id ?? null)) ?? null;
  const { opened, hands } = useOpenedWith(saved);
  return (
    <Bench
      key={opened?.id ?? ''}
      context={context}
      question={question}
      floor={floor}
      savedHere={opened}
      hands={hands}
    />
  );
}

/** The bench's parts, with what the drawing is driven by. */
type BenchProps = Props & {
  readonly floor: FloorLog;
  readonly savedHere: SavedSetup | null;
  readonly hands: Hands;
};

/** The set-up as it was saved here, or as the question stands. */
function useSavedSetup({ context, question, floor, savedHere }: BenchProps, practices: readonly Practice[]) {
  const [initial] = useState(() => ({
    options: withOurSides(savedHere?.options ?? question.options, practices),
    side: savedHere?.side ?? question.side,
    moved: savedHere?.placement ?? null,
    held: {},
    saved: savedHere?.placement ?? null,
  }));
  const setup = useSetup(question, context.client, initial);
  const { dispatch, placement, shown, base, off, solution } = setup;
  const save = async (): Promise<boolean> => {
    const kept = await floor.append(() => [
      {
        kind: 'setup-saved',
        placement,
        solved: solution.feasible ? base.placement : null,
        off: off || shown.violations.length > 0,
        stationId: context.station?.id ?? null,
        attachmentId: context.item.attachmentId,
        side: setup.state.side,
        options: setup.state.options,
      },
    ]);
    if (kept) dispatch({ type: 'saved', placement });
    return kept !== null;
  };
  return { setup, save };
}

/** Where in the rep the figure stands, and the views that show it. */
function useSheet(setup: BenchSetup, tempo: string) {
  const { problem, placement, shown, base, entry } = setup;
  const degs = useMemo(() => {
    const { path } = problem.limbAt(problem.sides[0]!, base.placement);
    return path.proximal.map((_, i) => jointDegAt(path, jointOf(entry.action), i));
  }, [problem, entry, base]);
  const rep = usePlaying(tempo, entry.startsWith, degs);
  const window3 = useMemo(() => windowFor(problem, base.placement), [problem, base]);
  const views = useBenchViews(window3);
  const hands = toFloor(problem.limbAt(shown.worse, placement).path.contact[rep.i]!, {
    x: placement.standX,
    z: placement.standZ,
    yawRad: toRad(placement.yawDeg),
  });
  const closerBy = (s: 1 | -1): void => views.step(s, between(problem.pulley(placement, shown.worse), hands, 0.6));
  return { rep, window3, views, closerBy };
}

/** What moves under the finger, on one carriage or on each its own. */
function useMoves(setup: BenchSetup, savedHere: SavedSetup | null, moving: () => void) {
  const { dispatch, problem, placement } = setup;
  const [apartChosen, setApart] = useState((savedHere?.placement?.leftBy ?? 0) !== 0);
  const apart = twoCables(problem) && (apartChosen || (placement.leftBy ?? 0) !== 0);
  const onMove = (move: Move): void => {
    const next = withMove(placement, move, problem.input.column, problem.input.floor, problem.bounds.standZ);
    if (samePlacement(next, placement)) return;
    moving();
    dispatch({ type: 'placed', placement: next });
  };
  const onApart = (to: boolean): void => {
    setApart(to);
    if (!to) onMove({ what: 'carriages-alike' });
  };
  return { apart, onMove, onApart };
}

/** The way to the set, with what stands on the bench. */
function useGo(itemId: string, setup: BenchSetup, save: () => Promise<boolean>): () => void {
  const stands = samePlacement(setup.state.saved, setup.placement);
  // Where nothing works here and nothing was moved, nothing stands that could be taken along.
  const nothingHere = !setup.solution.feasible && setup.state.moved === null;
  return useToTheSet(itemId, stands || setup.tooShort || nothingHere ? null : save);
}

function Bench(props: BenchProps) {
  const { context, question, floor, savedHere } = props;
  const { client, item, practices } = context;
  const { setup, save } = useSavedSetup(props, practices);
  const { dispatch, entry } = setup;
  const sheet = useSheet(setup, item.tempo);
  const { i: now, moveTo } = sheet.rep;
  const { window3 } = sheet;
  const { ref, elevation, plan, width, times } = sheet.views;
  // The drawing and the plates follow the finger at once, the rest when there is time.
  const { late, moving } = useFollowing(setup);
  const { apart, onMove, onApart } = useMoves(setup, savedHere, moving);
  const moves = fitMoves(question.kit, dispatch);
  const lateNow = useDeferredValue(now);
  const beside = useBeside(question, late, practices);
  const toPlace = useLatest(moveTo);
  const keep = useLatest(() => void save());
  const go = useLatest(useGo(item.id, setup, save));
  const putRight = (): void => dispatch({ type: 'put-right' });
  const tools = useBenchTools({ ...sheet, item, putRight, save: keep, toTheSet: go });
  const drawn = { setup, window: window3, onMove, now, ghost: beside.ghost, zoomed: times > 1 };
  return (
    <div className={styles.bench} {...props.hands}>
      <section className={styles.sheet} aria-label={WORDS.setUpDrawing}>
        <BenchTitle context={context} className={styles.who!} />
        <div ref={ref} className={styles.views}>
          <Elevation {...drawn} view={elevation} apart={apart} moves={moves} />
          <Plan {...drawn} view={plan} />
        </div>
        <BenchCurve
          setup={late}
          other={beside.other}
          loadSays={loadText(item.loadG, context.unit)}
          width={width}
          now={now}
          onNow={toPlace}
          tools={tools}
        />
      </section>
      <aside className={styles.answer} aria-label={WORDS.answer}>
        <SettingPlates context={context} setup={setup} onMove={onMove} apart={apart} onApart={onApart} moves={moves} />
        <Blocked context={context} setup={late} />
        <BenchNotices context={context} entry={entry} />
        <SidePanel context={context} setup={late} onSave={keep} onGo={go} trouble={floor.trouble} />
        <ClientNotes notes={client.notes} />
        <BenchPanels
          context={context}
          question={question}
          setup={late}
          beside={beside}
          now={lateNow}
          practices={practices}
        />
      </aside>
    </div>
  );
}
