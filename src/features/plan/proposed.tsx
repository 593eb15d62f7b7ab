'use client';
import { NativeSelect } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { v4 as newKey } from 'uuid';
import { MOST_SETS } from '@/contract/planned-fields';
import type { SaveResult } from '@/contract/save-result';
import type { ProposeView } from '@/contract/views/propose';
import { entryOf, type MovementId } from '@/core/book/book';
import { inOrder, type Offer, type Proposal, type ProposeInput } from '@/core/propose/propose';
import { needsOf } from '@/core/propose/session-need';
import { SETS, type Chosen } from '@/core/propose/session-value';
import { blocksSeconds, unitsOf } from '@/core/plan/turns';
import { weekSets } from '@/core/week/week-sets';
import { useDeed } from '@/features/shell/use-deed';
import { doneName, movementName } from '@/messages/book';
import { BEFORE_TEXT, whyText } from '@/messages/propose';
import { WORDS as PLAN } from '@/messages/screens/plan';
import { PROPOSE as WORDS } from '@/messages/screens/propose';
import { MUSCLE_NAME, setsText } from '@/messages/week';
import weekStyles from './client-week.module.css';
import planStyles from './plan.module.css';
import styles from './propose.module.css';

/** Puts what was taken of a proposal into its session; `key`: sent twice it is put once. */
export type PutProposed = (sessionId: string, typed: unknown, key: string) => Promise<SaveResult>;

interface Props {
  readonly input: ProposeInput;
  readonly proposal: Proposal;
  readonly view: ProposeView;
  readonly put: PutProposed;
}

/** A movement as it would be put. */
interface Taken {
  readonly movement: MovementId;
  readonly sets: number;
  readonly reps: number;
}

const nameOf = (id: MovementId): string => doneName(id, 'both');

/** Why a movement is there; one that was put there by hand says what its region wants. */
function Why({ input, proposal, id }: Pick<Props, 'input' | 'proposal'> & { readonly id: MovementId }) {
  const { work, target } = entryOf(id);
  if (work !== 'lift') return <span>{BEFORE_TEXT[work]}</span>;
  const want = needsOf(input.goals, input.weeks).find((n) => n.region === target)?.want ?? 0;
  const why = proposal.movements.find((m) => m.id === id)?.why ?? { region: target, want, fills: [] };
  return <span>{whyText(why)}</span>;
}

/** What could be done instead of a movement, or without it. */
function Otherwise(props: {
  readonly name: string;
  readonly others: readonly Offer[];
  readonly onSwap: (id: MovementId | null) => void;
}) {
  const { name, others, onSwap } = props;
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={planStyles.deed}
        aria-expanded={isOpen}
        aria-label={WORDS.otherwiseName(name)}
        onClick={() => setOpen(!isOpen)}
      >
        {WORDS.otherwise}
      </button>
      {isOpen && (
        <div className={styles.row}>
          {others.length > 0 && (
            <NativeSelect
              aria-label={WORDS.insteadOf(name)}
              value=""
              data={[
                { value: '', label: WORDS.instead },
                ...others.map((o) => ({ value: o.id, label: movementName(o.id) })),
              ]}
              onChange={(e) => e.currentTarget.value !== '' && onSwap(e.currentTarget.value as MovementId)}
            />
          )}
          <button
            type="button"
            className={planStyles.deed}
            aria-label={WORDS.leaveOutName(name)}
            onClick={() => onSwap(null)}
          >
            {WORDS.leaveOut}
          </button>
        </div>
      )}
    </>
  );
}

/** One movement: its sets, what could be done instead, or without it. */
function Row(props: {
  readonly offer: Offer;
  readonly sets: number;
  readonly input: ProposeInput;
  readonly proposal: Proposal;
  /** The movement whose sets its own take turns with; null for none. */
  readonly turnsWith: MovementId | null;
  readonly others: readonly Offer[];
  readonly onSets: (sets: number) => void;
  readonly onSwap: (id: MovementId | null) => void;
}) {
  const { offer, sets, input, proposal, turnsWith, others, onSets, onSwap } = props;
  const name = nameOf(offer.id);
  return (
    <li data-movement={offer.id}>
      <div>
        <b>{name}</b>
        <Why input={input} proposal={proposal} id={offer.id} />
        {turnsWith && <span>{WORDS.inTurnsWith(nameOf(turnsWith))}</span>}
      </div>
      <div className={styles.stepper}>
        <button type="button" aria-label={WORDS.fewer(name)} disabled={sets <= 1} onClick={() => onSets(sets - 1)}>
          −
        </button>
        <em>
          {sets} × {offer.reps}
        </em>
        <button
          type="button"
          aria-label={WORDS.more(name)}
          disabled={sets >= MOST_SETS}
          onClick={() => onSets(sets + 1)}
        >
          +
        </button>
      </div>
      <Otherwise name={name} others={others} onSwap={onSwap} />
    </li>
  );
}

/** What is chosen of a proposal, and its order with what is in the plan already. */
function useChosen({ input, proposal }: Pick<Props, 'input' | 'proposal'>) {
  const { offers } = proposal;
  const [chosen, setChosen] = useState<Chosen>(() => new Map(proposal.movements.map((m) => [m.id, m.sets])));
  const order = useMemo(() => inOrder(input, chosen, offers), [input, chosen, offers]);
  const planned = new Set(input.planned.map((b) => b.id));
  const partner = new Map(unitsOf(order).flatMap(([a, b]) => (a && b ? [[a.id, b] as const, [b.id, a] as const] : [])));
  const rows = order.map((b) => ({
    ...{ id: b.id, movement: b.movement, turnsWith: partner.get(b.id)?.movement ?? null },
    offer: planned.has(b.id) ? undefined : offers.find((o) => o.id === b.movement),
  }));
  return {
    rows,
    minutes: Math.round(blocksSeconds(order, input.times) / 60),
    movements: rows.flatMap(({ offer: o }): Taken[] =>
      o ? [{ movement: o.id, sets: chosen.get(o.id)!, reps: o.reps }] : [],
    ),
    left: offers.filter((o) => !chosen.has(o.id)),
    setsOf: (id: MovementId): number => chosen.get(id)!,
    setSets: (id: MovementId, sets: number): void => setChosen(new Map(chosen).set(id, sets)),
    /** Another one in its place, or none. */
    swap: (id: MovementId, other: MovementId | null): void =>
      setChosen(
        new Map(
          [...chosen].flatMap(([own, n]) => (own !== id ? [[own, n] as const] : other ? [[other, n] as const] : [])),
        ),
      ),
  };
}

/** What the week comes to with it, muscle by muscle that it changes. */
function WeekAfter({ input, movements }: { readonly input: ProposeInput; readonly movements: readonly Taken[] }) {
  const { week, rules } = input.weeks;
  const lifts = movements.map((m) => ({ ...entryOf(m.movement), sets: m.sets })).filter((e) => e.work === 'lift');
  const more = weekSets(
    lifts.map((e) => ({ target: e.target, secondary: e.secondary, side: 'both' as const, done: 0, planned: e.sets })),
    rules,
  ).filter((m) => m.all > 0);
  return (
    <ul className={styles.after} aria-label={WORDS.after}>
      {more.map(({ muscle, all }) => {
        const was = week.find((w) => w.muscle === muscle)?.all ?? 0;
        return (
          <li key={muscle}>
            {MUSCLE_NAME[muscle]} <b>{WORDS.fromTo(setsText(was), setsText(was + all))}</b>{' '}
            <span>{WORDS.band(rules[muscle].least, rules[muscle].most)}</span>
          </li>
        );
      })}
    </ul>
  );
}

/** What else could be done, added by hand. */
function Add({ left, onAdd }: { readonly left: readonly Offer[]; readonly onAdd: (id: MovementId) => void }) {
  return (
    <NativeSelect
      label={WORDS.add}
      value=""
      data={[{ value: '', label: WORDS.none }, ...left.map((o) => ({ value: o.id, label: movementName(o.id) }))]}
      onChange={(e) => {
        const { value } = e.currentTarget;
        if (value !== '') onAdd(value as MovementId);
      }}
    />
  );
}

/** A proposal as it stands: sets changed, movements swapped, left out and added, with the time that it takes then. */
export function Proposed({ input, proposal, view, put }: Props) {
  const router = useRouter();
  const { busy, trouble, run } = useDeed();
  const [key] = useState(() => newKey());
  const { rows, minutes, movements, left, setsOf, setSets, swap } = useChosen({ input, proposal });
  const { sessionId } = view.plan;
  const spare = input.minutes - minutes;
  return (
    <section aria-label={WORDS.proposed}>
      <h2>
        <span data-estimated>{WORDS.time(minutes, input.minutes)}</span>
      </h2>
      <p className={weekStyles.quiet}>
        {spare < 0 ? PLAN.over(-spare) : PLAN.fits(spare)} {WORDS.timeIntro}
      </p>
      {movements.length === 0 && <p>{WORDS.nothing}</p>}
      <WeekAfter input={input} movements={movements} />
      <ol className={styles.proposed}>
        {rows.map(({ id, movement, offer, turnsWith }) =>
          offer ? (
            <Row
              key={id}
              {...{ offer, input, proposal, turnsWith, sets: setsOf(offer.id) }}
              others={left.filter((o) => o.target === offer.target && entryOf(o.id).work === 'lift')}
              onSets={(sets) => setSets(offer.id, sets)}
              onSwap={(other) => swap(offer.id, other)}
            />
          ) : (
            <li key={id} data-planned>
              <div>
                <b>{nameOf(movement)}</b>
                <span>{WORDS.stays}</span>
              </div>
            </li>
          ),
        )}
      </ol>
      <Add left={left} onAdd={(id) => setSets(id, SETS.fewest)} />
      <button
        type="button"
        className={`${planStyles.take} ${styles.put}`}
        disabled={busy || movements.length === 0}
        onClick={() =>
          run(
            () => put(sessionId, { goals: input.goals, movements }, key),
            () => router.push(`/plan/${sessionId}`),
          )
        }
      >
        {WORDS.put}
      </button>
      <p role="alert">{trouble}</p>
    </section>
  );
}
