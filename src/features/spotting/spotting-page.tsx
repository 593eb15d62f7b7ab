'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { ChoosingView } from '@/contract/views/choosing';
import type { SpottingKept, SpottingView } from '@/contract/views/spotting';
import type { MovementId } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { costOfFault } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import type { FaultCode } from '@/core/movement/fault-code';
import { LONGEST_ANSWER_MS } from '@/core/spotting/spotting-answer';
import { spottingRecord } from '@/core/spotting/spotting-record';
import { FaultPad } from '@/features/set/fault-pad';
import { likeliest, oneColumn, padColumns, padOrder } from '@/features/set/pad-columns';
import { FAULT_KEYS } from '@/features/set/use-set-keys';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { useShortcuts } from '@/features/shell/use-shortcuts';
import { movementName } from '@/messages/book';
import { faultCostText, faultSizeText, FAULT_TEXT } from '@/messages/faults';
import { WORDS as MOVEMENT_WORDS } from '@/messages/screens/movements';
import { WORDS } from '@/messages/screens/spotting';
import { SpottingFigure } from './spotting-figure';
import { SpottingRecord } from './spotting-record';
import { useAnswers } from './use-answers';
import { SPOTTABLE, useTries, type Said, type Try } from './use-tries';
import styles from './spotting.module.css';

interface Props {
  readonly data: SpottingView;
  /** The movement that is practised; null: any. */
  readonly movement: MovementId | null;
  readonly keep: (answers: unknown) => Promise<SaveResult<SpottingKept>>;
}

/** On whose body, with which kit, and what is practised. */
function Asked({ data, movement }: { readonly data: ChoosingView; readonly movement: MovementId | null }) {
  const router = useRouter();
  const listening = useMounted();
  const now = { client: data.clientId ?? '', gym: data.gymId ?? '', movement: movement ?? '' };
  const go = (change: Partial<typeof now>): void =>
    router.push(`/movements/spotting?${new URLSearchParams({ ...now, ...change })}`);
  return (
    <fieldset disabled={!listening} className={styles.asked}>
      <NativeSelect
        label={WORDS.movement}
        data={[
          { value: '', label: WORDS.anyMovement },
          ...SPOTTABLE.map((m) => ({ value: m, label: movementName(m) })),
        ]}
        value={now.movement}
        onChange={(e) => go({ movement: e.currentTarget.value })}
      />
      <NativeSelect
        label={MOVEMENT_WORDS.for}
        data={[
          { value: '', label: MOVEMENT_WORDS.anybodyOfMiddleHeight },
          ...data.clients.map((c) => ({ value: c.id, label: c.name })),
        ]}
        value={now.client}
        onChange={(e) => go({ client: e.currentTarget.value })}
      />
      <NativeSelect
        label={MOVEMENT_WORDS.at}
        data={data.gyms.map((g) => ({ value: g.id, label: g.name }))}
        value={now.gym}
        onChange={(e) => go({ gym: e.currentTarget.value })}
      />
    </fieldset>
  );
}

/** What was there and what was made of it, with what it costs. */
function verdictText({ shown, answer }: Try, said: Said): { readonly says: string; readonly cost: string | null } {
  const saidText = said.fault && FAULT_TEXT[said.fault].pad;
  if (!shown) return { says: saidText ? WORDS.notThere(saidText) : WORDS.yesClean, cost: null };
  const p = PERTURBATION[shown.fault]!;
  const was = WORDS.wasThere(FAULT_TEXT[shown.fault].seen, faultSizeText(p, shown.size));
  const cost = costOfFault(answer.from, answer.placement, answer.from.shown, p, shown.size);
  const says =
    said.fault === shown.fault ? WORDS.yes(was) : saidText ? WORDS.notThis(saidText, was) : WORDS.missed(was);
  return { says, cost: cost && faultCostText(p, shown.size, cost) };
}

/** What is said of the reps, and on to the next ones. */
function Verdict({
  shown,
  said,
  onNext,
}: {
  readonly shown: Try;
  readonly said: Said | null;
  readonly onNext: () => void;
}) {
  const verdict = useMemo(() => said && verdictText(shown, said), [shown, said]);
  const next = useRef<HTMLButtonElement>(null);
  // What was pressed is not there to be pressed any longer: keys go on from here.
  useEffect(() => {
    if (verdict) next.current?.focus({ preventScroll: true });
  }, [verdict]);
  return (
    <div className={styles.verdict} data-told={verdict !== null || undefined}>
      <div role="status" data-testid="verdict">
        <p>{verdict ? verdict.says : WORDS.watch}</p>
        {verdict?.cost && <p className={styles.quiet}>{verdict.cost}</p>}
        {verdict && shown.shown && <p className={styles.quiet}>{WORDS.ghost}</p>}
      </div>
      {verdict && (
        <button type="button" ref={next} className={styles.next} onClick={onNext}>
          {WORDS.next}
        </button>
      )}
    </div>
  );
}

/** The pad of a set, for one try. */
function Pad(props: {
  readonly shown: Try;
  readonly said: Said | null;
  readonly onSaid: (fault: FaultCode | null) => void;
}) {
  const { shown, said, onSaid } = props;
  const { entry } = shown.answer.from;
  const faults = faultsOf(entry);
  const columns = entry.group === 'before' ? oneColumn(faults, []) : padColumns(faults, []);
  const order = padOrder(faults, []);
  return (
    <section aria-label={WORDS.pad} className={styles.padArea}>
      <button
        type="button"
        className={styles.clean}
        disabled={said !== null}
        data-said={(said !== null && said.fault === null) || undefined}
        onClick={() => onSaid(null)}
      >
        {WORDS.clean}
      </button>
      <FaultPad
        of="rep"
        columns={columns}
        heading={entry.group === 'before' ? WORDS.pad : null}
        likeliest={likeliest(faults, [])}
        marks={[]}
        disabled={said !== null}
        pressed={said?.fault ?? null}
        keyOf={(f) => FAULT_KEYS[order.indexOf(f)]}
        onTap={onSaid}
      />
    </section>
  );
}

/** Keys of a try: those of the pad of a set, one for clean, one for the next reps. */
function useSpottingKeys(
  current: Try | null,
  said: Said | null,
  onSaid: (fault: FaultCode | null) => void,
  onNext: () => void,
) {
  const order = current ? padOrder(faultsOf(current.answer.from.entry), []) : [];
  const saying = current !== null && said === null;
  return useShortcuts([
    { key: 'c', does: WORDS.keyClean, run: () => saying && onSaid(null) },
    { key: 'n', does: WORDS.keyNext, run: () => !saying && onNext() },
    ...order.flatMap((fault, i) => {
      const key = FAULT_KEYS[i];
      return key ? [{ key, does: FAULT_TEXT[fault].pad, run: () => saying && onSaid(fault) }] : [];
    }),
  ]);
}

/** Reps to watch, the pad to say on, and what was made of it. */
function Practice(props: {
  readonly shown: Try;
  readonly said: Said | null;
  readonly onSaid: (fault: FaultCode | null) => void;
  readonly onNext: () => void;
}) {
  const { shown, said, onSaid, onNext } = props;
  return (
    <div className={styles.practice}>
      <section aria-label={WORDS.figure}>
        <h2 className={styles.name}>{movementName(shown.movement)}</h2>
        <SpottingFigure shown={shown} isTold={said !== null} />
      </section>
      <div className={styles.saying}>
        <Pad shown={shown} said={said} onSaid={onSaid} />
        <Verdict shown={shown} said={said} onNext={onNext} />
      </div>
    </div>
  );
}

/** What was said of a try, and when, milliseconds of this page. */
interface SaidOf extends Said {
  readonly of: string;
  readonly atMs: number;
}
/** A press this soon after an answer was meant for the pad, milliseconds. */
const TOO_SOON_MS = 400;

/** One try after another, and what was said of each. */
function useSpotting({ data, movement, keep }: Props) {
  const { answers, add, waiting } = useAnswers(data.answers, keep);
  const { current, next, stop, none } = useTries(data.choosing, movement);
  const [said, setSaid] = useState<SaidOf | null>(null);
  const began = useRef(0);
  useEffect(() => {
    began.current = performance.now();
  }, [current]);
  const told = current && said?.of === current.id ? said : null;
  const onNext = (): void => {
    if (!told || performance.now() - told.atMs > TOO_SOON_MS) next(answers);
  };
  const onSaid = (fault: FaultCode | null): void => {
    // A second tap of the same moment says nothing new.
    if (!current || told) return;
    const { id, movement: of, shown } = current;
    const atMs = performance.now();
    setSaid({ of: id, fault, atMs });
    const tookMs = Math.min(LONGEST_ANSWER_MS, Math.round(atMs - began.current));
    add({ id, atMs: Date.now(), movement: of, shown, said: fault, tookMs });
  };
  return { answers, waiting, current, told, none, onNext, onSaid, stop };
}

/** Fault-spotting practice: reps with a fault or without, what was seen, and what is missed. */
export function SpottingPage(props: Props) {
  const { data, movement } = props;
  const { answers, waiting, current, told, none, onNext, onSaid, stop } = useSpotting(props);
  const record = useMemo(() => spottingRecord(answers), [answers]);
  const keys = useSpottingKeys(current, told, onSaid, onNext);
  const listening = useMounted();
  return (
    <div className="page">
      <div className={styles.head}>
        <h1>{WORDS.spotFaults}</h1>
        <p role="status" className={styles.quiet}>
          {waiting > 0 ? WORDS.waiting(waiting) : ''}
        </p>
        {current && (
          <button type="button" className={styles.clean} onClick={stop}>
            {WORDS.toRecord}
          </button>
        )}
        {keys}
      </div>
      {current ? (
        <Practice key={current.id} shown={current} said={told} onSaid={onSaid} onNext={onNext} />
      ) : (
        <>
          <UnreadableNote rows={data.choosing.unreadable} />
          <Asked data={data.choosing} movement={movement} />
          <div className={styles.begin}>
            <p>{none ? WORDS.nothingHere : WORDS.whatItIs}</p>
            <button type="button" className={styles.next} disabled={!listening} onClick={onNext}>
              {WORDS.begin}
            </button>
          </div>
          <h2 className={styles.name}>{WORDS.record}</h2>
          <SpottingRecord record={record} />
        </>
      )}
    </div>
  );
}
