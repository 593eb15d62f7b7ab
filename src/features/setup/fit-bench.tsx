'use client';
import { Alert } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import { Fragment, useMemo, useReducer, type ActionDispatch, type ReactNode } from 'react';
import { answerPosed, posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { poseKnown, poseQuestion } from '@/core/book/pose-question';
import { explainFree } from '@/core/book/explain-free';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import type { Practice } from '@/core/book/practice';
import { withOurSides } from '@/core/book/practice-effect';
import { withChoices, type Question } from '@/core/book/question';
import { sameOptions } from '@/core/book/entry-options';
import type { SavedSetup } from '@/core/record/floor-event';
import type { SetupBenchView } from '@/contract/views/setup';
import { jointDegAt, jointOf } from '@/core/movement/joint-action';
import { useMovementWindow } from '@/features/movements/use-movement-scene';
import { usePlaying } from '@/features/movements/use-playing';
import { postureText } from '@/messages/book';
import { fitVerdictLine } from '@/messages/reasons';
import { CHOICE_TOO_SHORT } from '@/messages/choosing';
import { loadLabel, loadNumber } from '@/messages/loads';
import { GRIP_NAME } from '@/messages/movements';
import { TAP_TROUBLE } from '@/messages/taps';
import { useFloorLog, type FloorLog } from '@/offline/use-floor-log';
import { BenchNotices, ClientNotes } from './bench-notices';
import { CardLink } from './card-link';
import { Cautions } from './cautions';
import { fitMoves } from './fit-moves';
import { FitSheet } from './fit-sheet';
import { FitPlates, type FitMoves } from './fit-plates';
import { OptionsBar } from './options-bar';
import { Sections } from './sections';
import { RegionLines } from './region-lines';
import { VerdictList } from './verdict-list';
import { reduceSetup, type SetupEvent, type SetupState } from './setup-machine';
import { ToTheSet, useToTheSet } from './to-the-set';
import { answeredOnce } from './opened-case';
import { useOpenedWith, type Hands } from './use-opened-with';
import { WORDS } from '@/messages/screens/setup';
import { useBenchTools } from './use-bench-tools';
import { useBenchViews } from './use-bench-views';
import styles from './setup.module.css';

/** The answer with everything said of it; the question is one whose range is known to leave enough. */
function solveFit(posed: GoodAnswer['from']) {
  const answer = answerPosed(posed);
  if (!answer.ok) throw new Error(`${posed.entry.id}: a movement without a cable has an answer wherever it is posed`);
  const { entry } = posed;
  return { answer, entry, settings: settingsOf(posed), region: regionOf(posed), reasons: explainFree(posed).reasons };
}

type SolvedFit = ReturnType<typeof solveFit>;

const fitOnce = answeredOnce<{ readonly fit: SolvedFit; readonly tooShort: boolean }>();

/** A question with what was chosen of it: its answer, and whether the choice leaves this client too little range. */
const fitOf = (question: Question, options: SetupState['options'], side: SetupState['side']) =>
  fitOnce(question, [options, side], () => {
    // A choice that leaves too little is told; the drawing stays with what was there.
    const found = poseQuestion(withChoices(question, options, side));
    return { fit: solveFit(found ?? poseKnown(question)), tooShort: found === null };
  });

interface Props {
  readonly context: SetupBenchView;
  readonly question: Question;
}

/** The bench of a movement without a column: what is set by rule and fit, the figure moved through, the curve. */
export function FitBench({ context, question }: Props) {
  const { client, item } = context;
  const floor = useFloorLog(
    { clientId: client.id, itemId: item.id, movement: item.movement },
    context.events,
    context.planned,
  );
  const began = floor.began.setups.findLast((s) => s.itemId === item.id) ?? null;
  const { opened, hands } = useOpenedWith(began);
  return (
    <Bench key={opened?.id ?? ''} context={context} question={question} floor={floor} began={opened} hands={hands} />
  );
}

interface BenchProps extends Props {
  readonly floor: FloorLog;
  readonly began: SavedSetup | null;
  readonly hands: Hands;
}

/** What stands on the bench, kept as used. */
function useKeep(itemId: string, floor: FloorLog, state: SetupState, practices: readonly Practice[]) {
  const savedHere = floor.log.setups.findLast((s) => s.itemId === itemId) ?? null;
  const saved = savedHere !== null && sameOptions(withOurSides(savedHere.options, practices), state.options);
  const save = async (): Promise<boolean> => {
    const kept = await floor.append(() => [
      {
        kind: 'setup-saved',
        placement: null,
        solved: null,
        off: false,
        stationId: null,
        attachmentId: null,
        side: state.side,
        options: state.options,
      },
    ]);
    return kept !== null;
  };
  return { saved, save };
}

type Keep = ReturnType<typeof useKeep>;

/** Where in the rep the figure stands, the views that show it, and the tools over them. */
function useFitSheet(
  { item }: SetupBenchView,
  answer: GoodAnswer,
  ways: { readonly save: () => void; readonly toTheSet: () => void },
) {
  const { entry } = answer.from;
  const { path } = posedOf(answer);
  const degs = useMemo(
    () => path.proximal.map((_, i) => jointDegAt(path, jointOf(entry.action), i)),
    [path, entry.action],
  );
  const rep = usePlaying(item.tempo, entry.startsWith, degs);
  const window = useMovementWindow(answer, null);
  // The title stands in a line of its own here.
  const views = useBenchViews(window, 0);
  const closerBy = (s: 1 | -1): void => views.step(s, path.contact[rep.i]!);
  const tools = useBenchTools({ item, rep, views, closerBy, putRight: null, ...ways });
  return { rep, window, views, tools };
}

function Bench({ context, question, floor, began, hands }: BenchProps) {
  const { practices } = context;
  const [state, dispatch] = useReducer(reduceSetup, {
    options: withOurSides(began?.options ?? question.options, practices),
    side: question.side,
    moved: null,
    held: {},
    saved: null,
  });
  const { fit, tooShort } = useMemo(
    () => fitOf(question, state.options, state.side),
    [question, state.options, state.side],
  );
  const moves = fitMoves(question.kit, dispatch);
  const keep = useKeep(context.item.id, floor, state, practices);
  const toTheSet = useToTheSet(context.item.id, keep.saved || tooShort ? null : keep.save);
  const sheet = useFitSheet(context, fit.answer, { save: () => void keep.save(), toTheSet });
  return (
    <div className={styles.bench} {...hands}>
      <FitSheet context={context} answer={fit.answer} settings={fit.settings} moves={moves} {...sheet} />
      <FitAnswer
        context={context}
        question={question}
        fit={fit}
        moves={moves}
        tooShort={tooShort}
        practices={practices}
        state={state}
        dispatch={dispatch}
        save={
          <SaveButtons
            itemId={context.item.id}
            keep={keep}
            tooShort={tooShort}
            trouble={floor.trouble}
            onGo={toTheSet}
          />
        }
      />
    </div>
  );
}

interface FitProps {
  readonly context: SetupBenchView;
  readonly fit: SolvedFit;
  readonly moves: FitMoves;
}

/** Everything that is set, biggest first, then load and posture. */
function SetPlates({ context, fit, moves, state }: FitProps & { readonly state: SetupState }) {
  const { item, unit } = context;
  const { entry, settings } = fit;
  const label = loadLabel(entry, state.side);
  return (
    <div className={styles.plates}>
      <FitPlates settings={settings} moves={moves} />
      {label && (
        <div className={styles.plate}>
          <div className={styles.plateLabel}>{label}</div>
          <div className={styles.plateValue} data-testid="plate-load">
            {loadNumber(item.loadG, unit)}
            <small>{unit}</small>
          </div>
        </div>
      )}
      {context.bandName && (
        <div className={styles.plate}>
          <div className={styles.plateLabel}>{WORDS.band}</div>
          <div className={styles.plateWords}>{context.bandName}</div>
        </div>
      )}
      <div className={styles.plate}>
        <div className={styles.plateLabel}>{WORDS.bodyAndGrip}</div>
        <div className={styles.plateWords}>
          {postureText(entry.posture)}
          {entry.grips[0] ? `, ${GRIP_NAME[entry.grips[0]]}` : ''}
        </div>
      </div>
    </div>
  );
}

interface AnswerProps extends FitProps {
  readonly question: Question;
  readonly tooShort: boolean;
  readonly practices: readonly Practice[];
  readonly state: SetupState;
  readonly dispatch: ActionDispatch<[SetupEvent]>;
  readonly save: ReactNode;
}

function FitAnswer({ context, question, fit, moves, tooShort, practices, state, dispatch, save }: AnswerProps) {
  const { client, item } = context;
  const { metrics } = fit.answer;
  return (
    <aside className={styles.answer} aria-label={WORDS.answer}>
      <SetPlates context={context} fit={fit} moves={moves} state={state} />
      <BenchNotices context={context} entry={fit.entry} />
      {tooShort && <Alert className={styles.blocked}>{CHOICE_TOO_SHORT}</Alert>}
      <p className={styles.verdictLine} data-testid="verdict-line">
        {fitVerdictLine(metrics)}
      </p>
      {save}
      <ClientNotes notes={client.notes} />
      <div className={styles.sections}>
        <Cautions entry={fit.entry} />
        <Sections
          first={null}
          sections={[
            [
              'why',
              <Fragment key="why">
                <VerdictList entry={fit.entry} reasons={fit.reasons} massEstimated={client.massEstimated} />
                <RegionLines region={fit.region} />
              </Fragment>,
            ],
            [
              'choices',
              <OptionsBar
                key="choices"
                context={context}
                question={question}
                options={state.options}
                side={state.side}
                dispatch={dispatch}
                practices={practices}
              />,
            ],
          ]}
        />
        <CardLink itemId={item.id} />
      </div>
    </aside>
  );
}

interface SaveProps {
  readonly itemId: string;
  readonly keep: Keep;
  readonly tooShort: boolean;
  readonly trouble: FloorLog['trouble'];
  readonly onGo: () => void;
}

function SaveButtons({ itemId, keep, tooShort, trouble, onGo }: SaveProps) {
  const { saved, save } = keep;
  return (
    <>
      <div className={styles.buttons} data-two>
        <button type="button" className={styles.strong} onClick={() => void save()} disabled={saved || tooShort}>
          {saved ? (
            <>
              <IconCheck stroke={2} size={20} aria-hidden /> {WORDS.saved}
            </>
          ) : (
            WORDS.saveAsUsed
          )}
        </button>
        <ToTheSet itemId={itemId} strong={saved} onGo={onGo} />
      </div>
      {trouble && <Alert className={styles.blocked}>{TAP_TROUBLE[trouble]}</Alert>}
    </>
  );
}
