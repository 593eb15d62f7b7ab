'use client';
import { Alert } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import { Fragment, useMemo, useReducer, type ActionDispatch } from 'react';
import { answerPosed, type GoodAnswer } from '@/core/book/answer-question';
import { poseKnown, poseQuestion } from '@/core/book/pose-question';
import { explainFree } from '@/core/book/explain-free';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import type { Practice } from '@/core/book/practice';
import { practicesFor, withOurSides } from '@/core/book/practice-effect';
import { withChoices, type Question } from '@/core/book/question';
import { sameOptions } from '@/core/book/entry-options';
import type { SavedSetup } from '@/core/record/floor-event';
import type { SetupBenchView } from '@/contract/views/setup';
import { backOnSheet } from '@/drawing/back-on-sheet';
import { MovementPlayer } from '@/features/movements/movement-player';
import { BOOK_TEXT, postureText } from '@/messages/book';
import { fitVerdictLine } from '@/messages/reasons';
import { CHOICE_TOO_SHORT } from '@/messages/choosing';
import { loadLabel, loadNumber, loadText } from '@/messages/loads';
import { GRIP_NAME } from '@/messages/movements';
import { TAP_TROUBLE } from '@/messages/taps';
import { useFloorLog, type FloorLog } from '@/offline/use-floor-log';
import { BenchNotices, ClientNotes } from './bench-notices';
import { BenchHandles } from './bench-handles';
import { CardLink } from './card-link';
import { Cautions } from './cautions';
import { fitMoves, seatPitchOf } from './fit-moves';
import { FitPlates, type FitMoves } from './fit-plates';
import { OptionsBar } from './options-bar';
import { Sections } from './sections';
import { RegionLines } from './region-lines';
import { VerdictList } from './verdict-list';
import { reduceSetup, type SetupEvent, type SetupState } from './setup-machine';
import { ToTheSet, useToTheSet } from './to-the-set';
import { useOpenedWith, type Hands } from './use-opened-with';
import { WORDS } from '@/messages/screens/setup';
import { BenchTitle } from './bench-title';
import styles from './setup.module.css';

/** The answer with everything said of it; the question is one whose range is known to leave enough. */
function solveFit(posed: GoodAnswer['from']) {
  const answer = answerPosed(posed);
  if (!answer.ok) throw new Error(`${posed.entry.id}: a movement without a cable has an answer wherever it is posed`);
  const { entry } = posed;
  return { answer, entry, settings: settingsOf(posed), region: regionOf(posed), reasons: explainFree(posed).reasons };
}

type SolvedFit = ReturnType<typeof solveFit>;

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

function Bench({ context, question, floor, began, hands }: BenchProps) {
  const { notes } = context.client;
  const practices = useMemo(() => practicesFor(question, notes), [question, notes]);
  const [state, dispatch] = useReducer(reduceSetup, {
    options: withOurSides(began?.options ?? question.options, practices),
    side: question.side,
    moved: null,
    held: {},
    saved: null,
  });
  const { fit, tooShort } = useMemo(() => {
    // A choice that leaves this client too little range is told; the drawing stays with what was there.
    const found = poseQuestion(withChoices(question, state.options, state.side));
    return { fit: solveFit(found ?? poseKnown(question)), tooShort: found === null };
  }, [question, state.options, state.side]);
  const moves = fitMoves(question.kit, dispatch);
  return (
    <div className={styles.bench} {...hands}>
      <FitDrawing context={context} fit={fit} moves={moves} />
      <FitAnswer
        context={context}
        question={question}
        floor={floor}
        fit={fit}
        moves={moves}
        tooShort={tooShort}
        practices={practices}
        state={state}
        dispatch={dispatch}
      />
    </div>
  );
}

interface FitProps {
  readonly context: SetupBenchView;
  readonly fit: SolvedFit;
  readonly moves: FitMoves;
}

/** The figure on this gym's steel; bench and seat are moved on it. */
function FitDrawing({ context, fit, moves }: FitProps) {
  const { item } = context;
  const { answer, entry, settings } = fit;
  const seatPitchM = seatPitchOf(entry, answer.from.question.kit);
  return (
    <section className={styles.fitSheet} aria-label={WORDS.setUpDrawing}>
      <BenchTitle context={context} className={styles.fitWho!} />
      <p className={styles.how}>{BOOK_TEXT[item.movement]?.how}</p>
      <MovementPlayer
        answer={answer}
        beside={null}
        loadSays={loadText(item.loadG, context.unit)}
        padUpM={entry.armOn === 'preacher' ? (settings.find((s) => s.kind === 'seat-hole')?.gapM ?? 0) : 0}
        handles={(scene, view) => (
          <BenchHandles
            settings={settings}
            moves={moves}
            back={backOnSheet(entry, scene.surfaces, scene.armPad)}
            seat={
              seatPitchM === 0 ? null : { at: scene.surfaces[0]?.to ?? scene.contact, holePx: seatPitchM * view.scale }
            }
          />
        )}
      />
    </section>
  );
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
  readonly floor: FloorLog;
  readonly tooShort: boolean;
  readonly practices: readonly Practice[];
  readonly state: SetupState;
  readonly dispatch: ActionDispatch<[SetupEvent]>;
}

function FitAnswer({ context, question, floor, fit, moves, tooShort, practices, state, dispatch }: AnswerProps) {
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
      <SaveButtons itemId={item.id} floor={floor} state={state} tooShort={tooShort} practices={practices} />
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
  readonly practices: readonly Practice[];
  readonly itemId: string;
  readonly floor: FloorLog;
  readonly state: SetupState;
  readonly tooShort: boolean;
}

function SaveButtons({ itemId, floor, state, tooShort, practices }: SaveProps) {
  const { log, append, trouble } = floor;
  const savedHere = log.setups.findLast((s) => s.itemId === itemId) ?? null;
  const saved = savedHere !== null && sameOptions(withOurSides(savedHere.options, practices), state.options);
  const save = async (): Promise<boolean> => {
    const kept = await append(() => [
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
  const toTheSet = useToTheSet(itemId, saved || tooShort ? null : save);
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
        <ToTheSet itemId={itemId} strong={saved} onGo={toTheSet} />
      </div>
      {trouble && <Alert className={styles.blocked}>{TAP_TROUBLE[trouble]}</Alert>}
    </>
  );
}
