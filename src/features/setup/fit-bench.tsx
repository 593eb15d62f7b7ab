'use client';
import { IconCheck } from '@tabler/icons-react';
import Link from 'next/link';
import { useMemo, useReducer } from 'react';
import { cautionsOf } from '@/core/book/entry-cautions';
import { buildLeakTrack, resolveLeak } from '@/core/mechanics/leak';
import { limbOfProfile } from '@/core/book/profile-entry';
import { explainProfile } from '@/core/setup/reasons';
import { describeQuestion, type Described } from '@/solver/describe';
import { withChoices, type Question } from '@/solver/to-question';
import { useFloorLog, type FloorLog } from '@/offline/use-floor-log';
import type { SavedSetup } from '@/core/fault/floor-event';
import { kgToGrams } from '@/core/units/mass';
import { BOOK_TEXT, movementName, postureText } from '@/messages/book';
import { CAUTION, type CautionPlace } from '@/messages/cautions';
import { loadLabel, loadNumber, loadText } from '@/messages/loads';
import { GRIP_NAME } from '@/messages/movements';
import { toVerdict } from '@/messages/reasons';
import { MovementPlayer } from '@/features/movements/movement-player';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import type { BenchContext } from './bench-context';
import { CardLink } from './card-link';
import { backOnSheet } from '@/drawing/back-on-sheet';
import { BenchHandles } from './bench-handles';
import { fitMoves, seatPitchOf } from './fit-moves';
import { FitPlates } from './fit-plates';
import { OptionsBar } from './options-bar';
import { RegionLines } from './region-lines';
import { reduceSetup, sameOptions } from './setup-machine';
import styles from './setup.module.css';

function verdictsOf(q: Question, d: Described) {
  const { posed, free, side } = d;
  if (!free) throw new Error('fit: expected a movement without a cable');
  const leak = resolveLeak(buildLeakTrack(q.input.body, posed.path, posed.target), free.samples.load);
  const limb = limbOfProfile(free);
  return {
    side,
    verdicts: explainProfile({
      body: q.input.body,
      pose: posed.pose,
      limb,
      region: q.entry.target,
      metrics: free.metrics,
      samples: free.samples,
      leak,
    }).map(toVerdict),
  };
}

interface Props {
  readonly context: BenchContext;
  readonly question: Question;
}

/** The bench of a movement without a column: what is set by rule and fit, the figure moved through, the curve. */
export function FitBench({ context, question }: Props) {
  const { client, item } = context;
  const floor = useFloorLog({ clientId: client.id, itemId: item.id, movement: item.movement }, context.events);
  const began = floor.began.setups.findLast((s) => s.itemId === item.id) ?? null;
  return <Bench key={began?.id ?? ''} context={context} question={question} floor={floor} began={began} />;
}

function Bench({
  context,
  question,
  floor,
  began,
}: Props & { readonly floor: FloorLog; readonly began: SavedSetup | null }) {
  const { client, item } = context;
  const { log, append, trouble } = floor;
  const savedHere = log.setups.findLast((s) => s.itemId === item.id) ?? null;
  const [state, dispatch] = useReducer(reduceSetup, {
    options: began?.options ?? question.options,
    side: question.input.side,
    moved: null,
    held: {},
    saved: null,
  });
  const asked = useMemo(() => withChoices(question, state.options, state.side), [question, state.options, state.side]);
  const { shownQuestion, described, tooShort } = useMemo(() => {
    const found = describeQuestion(asked);
    return {
      shownQuestion: found ? asked : question,
      described: found ?? describeQuestion(question)!,
      tooShort: found === null,
    };
  }, [asked, question]);
  const { verdicts } = useMemo(() => verdictsOf(shownQuestion, described), [shownQuestion, described]);
  const { entry } = shownQuestion;
  const free = described.free!;
  const finishShare =
    free.metrics.peakResistanceNm > 0 ? free.samples.resistanceNm.at(-1)! / free.metrics.peakResistanceNm : 1;
  const saved = savedHere !== null && sameOptions(savedHere.options, state.options);
  const cautionsAt = (places: readonly CautionPlace[]): string[] =>
    cautionsOf(entry).flatMap((c) => (places.includes(CAUTION[c].at) ? [CAUTION[c].text] : []));
  const save = (): void =>
    void append({
      kind: 'setup-saved',
      placement: null,
      solved: null,
      off: false,
      stationId: null,
      attachmentId: null,
      side: state.side,
      options: state.options,
    });
  const label = loadLabel(entry, state.side);
  const moves = fitMoves(shownQuestion.input.kit, dispatch);
  const seatPitchM = seatPitchOf(entry, shownQuestion.input.kit);
  return (
    <div className={styles.bench}>
      <section className={styles.fitSheet} aria-label="Set-up drawing">
        <h1 className={styles.fitWho}>
          {client.name}{' '}
          <span>
            {movementName(item.movement)}
            {context.variant ? `, ${context.variant.name}` : ''}
          </span>
        </h1>
        <p className={styles.how}>{BOOK_TEXT[item.movement]!.how}</p>
        <MovementPlayer
          entry={entry}
          answer={{
            ok: true,
            placement: null,
            pulley: null,
            side: described.side,
            posed: free.posed,
            metrics: free.metrics,
            samples: free.samples,
          }}
          body={shownQuestion.input.body}
          kit={shownQuestion.input.kit}
          column={null}
          beside={null}
          loadSays={loadText(item.loadG, context.unit)}
          padUpM={entry.armOn === 'preacher' ? (described.settings.find((s) => s.kind === 'seat-hole')?.gapM ?? 0) : 0}
          handles={(scene, view) => (
            <BenchHandles
              settings={described.settings}
              moves={moves}
              back={backOnSheet(entry, scene.surfaces, scene.armPad)}
              seat={
                seatPitchM === 0
                  ? null
                  : { at: scene.surfaces[0]?.to ?? scene.contact, holePx: seatPitchM * view.scale }
              }
            />
          )}
        />
      </section>
      <aside className={styles.answer} aria-label="Answer">
        <div className={styles.plates}>
          <FitPlates settings={described.settings} moves={moves} />
          {label && (
            <div className={styles.plate}>
              <div className={styles.plateLabel}>{label}</div>
              <div className={styles.plateValue} data-testid="plate-load">
                {loadNumber(item.loadG, context.unit)}
                <small>{context.unit}</small>
              </div>
            </div>
          )}
          <div className={styles.plate}>
            <div className={styles.plateLabel}>Body and grip</div>
            <div className={styles.plateWords}>
              {postureText(entry.posture)}
              {entry.grips[0] ? `, ${GRIP_NAME[entry.grips[0]]}` : ''}
            </div>
          </div>
        </div>
        <ScreeningWarning screening={context.screening} clientId={client.id} />
        {context.mostLoadKg !== null && (
          <p className={styles.atPlates}>
            <b>Clinician’s limit:</b> {loadText(kgToGrams(context.mostLoadKg), context.unit)} in the hand.
          </p>
        )}
        <p className={styles.atPlates}>{cautionsAt(['bench', 'load', 'mark', 'handle']).join(' ')}</p>
        {tooShort && (
          <p className={styles.blocked} role="alert">
            With this choice the client’s range leaves too little of the movement. The drawing shows the movement
            without it.
          </p>
        )}
        <div className={styles.buttons} data-two>
          <button type="button" className={styles.strong} onClick={save} disabled={saved || tooShort}>
            {saved ? (
              <>
                <IconCheck stroke={2} size={20} aria-hidden /> Saved
              </>
            ) : (
              'Save as used'
            )}
          </button>
          <Link className={saved ? styles.strong : styles.plain} href={`/set/${item.id}`}>
            To the set
          </Link>
        </div>
        {trouble && (
          <p className={styles.blocked} role="alert">
            {trouble}
          </p>
        )}
        <dl className={styles.verdicts} data-testid="verdicts">
          {verdicts.map((v) => (
            <div key={v.code} className={styles.verdict}>
              <dt className={v.code === 'region' ? styles.estimated : undefined}>{v.figure}</dt>
              <dd>
                {v.text}
                {v.code === 'range' &&
                  cautionsAt(['range']).map((text) => (
                    <span key={text} className={styles.atLine}>
                      {text}
                    </span>
                  ))}
              </dd>
            </div>
          ))}
        </dl>
        <RegionLines region={described.region} />
        <CardLink itemId={item.id} />
        <OptionsBar
          context={context}
          question={question}
          options={state.options}
          side={state.side}
          dispatch={dispatch}
          finishShare={finishShare}
        />
        <ul className={styles.cautions} aria-label="Cautions">
          {cautionsAt(['set']).map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </aside>
    </div>
  );
}
