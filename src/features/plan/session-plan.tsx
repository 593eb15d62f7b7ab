'use client';
import { useMounted } from '@mantine/hooks';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { bestOrder, brokenRules, MOST_ORDERED, orderCost } from '@/core/plan/session-order';
import { groupBy } from '@/core/record/group-by';
import { betweenS, changeBetween, sessionSeconds } from '@/core/plan/session-time';
import { saveTroubleOf, wholeTrouble } from '@/features/shell/save-trouble';
import { useDeed } from '@/features/shell/use-deed';
import { SAVE_TROUBLE } from '@/messages/saving';
import { CHANGE_TEXT, RULE_TEXT } from '@/messages/plan';
import { WORDS } from '@/messages/screens/plan';
import { WORDS as WEEK } from '@/messages/screens/week';
import { FitAdvice } from './fit-advice';
import { BlockChange, type BlockDeeds } from './block-change';
import styles from './plan.module.css';

interface Props {
  readonly plan: SessionPlanView;
  readonly keep: (sessionId: string, itemIds: unknown) => Promise<SaveResult>;
  readonly deeds: BlockDeeds;
}

type Ids = readonly string[];

/** Orders on their way to the server, one after the other; of several that wait only the newest is sent. */
function useSentOrders(plan: SessionPlanView, keep: Props['keep'], onRefused: (kept: Ids) => void) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const state = useRef<{ wanted: Ids | null; kept: Ids; isSending: boolean }>({
    wanted: null,
    kept: plan.blocks.filter((b) => !isSkipped(b)).map((b) => b.id),
    isSending: false,
  });
  const send = async (wanted: Ids, itemsOf: (ids: Ids) => string[]): Promise<void> => {
    const now = state.current;
    now.wanted = wanted;
    if (now.isSending) return;
    now.isSending = true;
    for (let next: Ids | null = wanted; next; next = now.wanted) {
      now.wanted = null;
      const told = await keep(plan.sessionId, itemsOf(next)).then(
        (done) => (done.ok ? null : (wholeTrouble(done) ?? done.issues.map((issue) => issue.message).join(' '))),
        (error: unknown) => SAVE_TROUBLE[saveTroubleOf(error)],
      );
      setTrouble(told);
      if (told === null) now.kept = next;
      else {
        // What is not kept does not stand here as if it were.
        now.wanted = null;
        onRefused(now.kept);
      }
    }
    now.isSending = false;
  };
  return { trouble, send };
}

const isSkipped = (b: PlanBlockView): boolean => b.skipped !== null;

/**
 * An order as it is tried: put at once, kept with every change, and what it was before. What is skipped stands behind
 * what is done.
 */
function useOrder({ plan, keep }: Omit<Props, 'deeds'>) {
  const byId = useMemo(() => new Map(plan.blocks.map((b) => [b.id, b])), [plan]);
  const skipped = plan.blocks.filter(isSkipped);
  const [ids, setIds] = useState<Ids>(() => plan.blocks.filter((b) => !isSkipped(b)).map((b) => b.id));
  const [before, setBefore] = useState<readonly Ids[]>([]);
  const [said, setSaid] = useState('');
  const pressed = useRef<string | null>(null);
  const { trouble, send } = useSentOrders(plan, keep, (kept) => {
    setIds(kept);
    setBefore([]);
  });
  const blocks = ids.flatMap((id) => byId.get(id) ?? []);
  const put = (next: Ids, says: string, undoes: readonly Ids[]): void => {
    setIds(next);
    setBefore(undoes);
    setSaid(says);
    void send(next, (of) => [...of, ...skipped.map((b) => b.id)].flatMap((id) => byId.get(id)?.itemIds ?? []));
  };
  const move = (k: number, by: 1 | -1): void => {
    const next = [...ids];
    [next[k], next[k + by]] = [next[k + by]!, next[k]!];
    pressed.current = `[data-block="${ids[k]!}"] button[data-by="${by}"]`;
    put(next, WORDS.moved(blocks[k]!.name, k + by + 1, ids.length), [...before, ids]);
  };
  useEffect(() => {
    // What is moved in the page loses the focus: keys go on from where they were.
    if (pressed.current) document.querySelector<HTMLElement>(pressed.current)?.focus({ preventScroll: true });
    pressed.current = null;
  }, [ids]);
  const undo = (): void => put(before.at(-1)!, WORDS.undo, before.slice(0, -1));
  const take = (best: readonly PlanBlockView[]): void =>
    put(
      best.map((b) => b.id),
      WORDS.isComputed,
      [...before, ids],
    );
  return { blocks, skipped, move, take, undo, canUndo: before.length > 0, said, trouble };
}

/** What lies between two movements of the ribbon. */
function Between({ from, to }: { readonly from: PlanBlockView; readonly to: PlanBlockView }) {
  const [a, b] = [from.items.at(-1)!, to.items[0]!];
  return <li className={styles.between}>{WORDS.change(CHANGE_TEXT[changeBetween(a, b)], betweenS(a, b))}</li>;
}

function Block(props: {
  readonly block: PlanBlockView;
  readonly onEarlier: (() => void) | null;
  readonly onLater: (() => void) | null;
  readonly onChange: (() => void) | null;
  readonly isOpen: boolean;
  readonly children: ReactNode;
}) {
  const { block, onEarlier, onLater, onChange, isOpen, children } = props;
  return (
    <li className={styles.block} data-block={block.id} data-begun={block.isBegun || undefined}>
      <div>
        <b>{block.name}</b>
        <span>
          {block.says}
          {block.station && `. ${block.station}`}
        </span>
      </div>
      <em>{WORDS.minutes(sessionSeconds(block.items))}</em>
      <div className={styles.moves}>
        {block.isBegun ? (
          <span className={styles.begun}>{WORDS.begun}</span>
        ) : (
          <>
            <button
              type="button"
              disabled={!onEarlier}
              data-by={-1}
              onClick={() => onEarlier?.()}
              aria-label={WORDS.earlierName(block.name)}
            >
              {WORDS.earlier}
            </button>
            <button
              type="button"
              disabled={!onLater}
              data-by={1}
              onClick={() => onLater?.()}
              aria-label={WORDS.laterName(block.name)}
            >
              {WORDS.later}
            </button>
          </>
        )}
        <button
          type="button"
          disabled={!onChange}
          aria-expanded={isOpen}
          onClick={() => onChange?.()}
          aria-label={WEEK.changeName(block.name)}
        >
          {WEEK.change}
        </button>
      </div>
      {children}
    </li>
  );
}

/** How long it takes against the time there is. */
function Time({ blocks, minutes }: { readonly blocks: readonly PlanBlockView[]; readonly minutes: number }) {
  const taken = Math.round(sessionSeconds(blocks.flatMap((b) => b.items)) / 60);
  return (
    <div className={styles.time} role="status">
      <b data-estimated>{WORDS.total(taken, minutes)}</b>
      <p>{taken > minutes ? WORDS.over(taken - minutes) : WORDS.fits(minutes - taken)}</p>
      <p className={styles.quiet}>{WORDS.estimated}</p>
    </div>
  );
}

/** The computed order beside the one that stands, and what stands against the usual order. */
function Advice(props: {
  readonly blocks: readonly PlanBlockView[];
  readonly disabled: boolean;
  readonly onTake: (order: readonly PlanBlockView[]) => void;
}) {
  const { blocks, disabled, onTake } = props;
  const best = useMemo(() => bestOrder(blocks, (b) => b.isBegun), [blocks]);
  const free = blocks.filter((b) => !b.isBegun);
  const broken = [...groupBy(brokenRules(free), (r) => `${r.rule} ${r.then}`)];
  const nameOf = (id: string): string => blocks.find((b) => b.id === id)!.name;
  const isBest = best.every((b, k) => b.id === blocks[k]!.id);
  const tooMany = free.length > MOST_ORDERED;
  return (
    <div>
      <p>
        {tooMany
          ? WORDS.tooMany
          : isBest
            ? WORDS.isComputed
            : WORDS.saves(Math.round(orderCost(blocks) - orderCost(best)))}
      </p>
      {!isBest && (
        <button type="button" className={styles.take} disabled={disabled} onClick={() => onTake(best)}>
          {WORDS.computed}
        </button>
      )}
      {broken.length > 0 && (
        <>
          <h2>{WORDS.rules}</h2>
          <ul className={styles.rules}>
            {broken.map(([key, pairs]) => (
              <li key={key}>
                {RULE_TEXT[pairs[0]!.rule](
                  pairs.map((p) => nameOf(p.first)),
                  nameOf(pairs[0]!.then),
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** What is not done this time, each with why and the way back. */
function Skipped({ blocks, skip }: { readonly blocks: readonly PlanBlockView[]; readonly skip: BlockDeeds['skip'] }) {
  const { busy, trouble, run } = useDeed();
  if (blocks.length === 0) return null;
  return (
    <section className={styles.skipped} aria-label={WEEK.skipped}>
      <h2>{WEEK.skipped}</h2>
      <ul>
        {blocks.map((b) => (
          <li key={b.id}>
            <div>
              <b>{b.name}</b>
              <span>{WEEK.because(b.skipped ?? '')}</span>
            </div>
            <button
              type="button"
              className={styles.deed}
              disabled={busy}
              aria-label={WEEK.takeBackName(b.name)}
              onClick={() => run(() => skip(b.itemIds, null))}
            >
              {WEEK.takeBack}
            </button>
          </li>
        ))}
      </ul>
      <p role="alert">{trouble}</p>
    </section>
  );
}

/** What was taken out just now, with the way back. */
function TookOut({
  block,
  deeds,
  onBack,
}: {
  readonly block: PlanBlockView;
  readonly deeds: BlockDeeds;
  readonly onBack: () => void;
}) {
  const { busy, trouble, run } = useDeed();
  return (
    <div className={styles.tookOut} role="status">
      <span>{WEEK.tookOut(block.name)}</span>
      <button
        type="button"
        className={styles.deed}
        disabled={busy}
        onClick={() => run(() => deeds.takeOut(block.itemIds, false), onBack)}
      >
        {WEEK.putBack}
      </button>
      {trouble}
    </div>
  );
}

/** A session as a ribbon of its stations; what was taken out of it can be put back while the page is open. */
export function SessionPlan(props: Props) {
  const { plan } = props;
  const [out, setOut] = useState<PlanBlockView | null>(null);
  // What is planned there follows the server: what was tried with other movements is over.
  const key = plan.blocks.map((b) => `${b.id} ${b.isBegun} ${b.skipped} ${b.says}`);
  return (
    <>
      {out && <TookOut block={out} deeds={props.deeds} onBack={() => setOut(null)} />}
      <Ribbon key={key.toSorted().join()} {...props} onOut={setOut} />
    </>
  );
}

/** Its order, what lies between its movements, and its time. */
function Ribbon(props: Props & { readonly onOut: (block: PlanBlockView) => void }) {
  const { plan, deeds, onOut } = props;
  const { blocks, skipped, move, take, undo, canUndo, said, trouble } = useOrder(props);
  const [open, setOpen] = useState<string | null>(null);
  const listening = useMounted();
  const fixed = !listening || plan.unreadable > 0;
  if (plan.blocks.length === 0) return <p className={styles.quiet}>{WORDS.nothingPlanned}</p>;
  return (
    <div className={styles.plan}>
      <div>
        <ol className={styles.ribbon} aria-label={WORDS.ribbon}>
          {blocks.flatMap((b, k) => [
            ...(k > 0 ? [<Between key={`to-${b.id}`} from={blocks[k - 1]!} to={b} />] : []),
            <Block
              key={b.id}
              block={b}
              onEarlier={fixed || k === 0 ? null : () => move(k, -1)}
              onLater={fixed || k === blocks.length - 1 ? null : () => move(k, 1)}
              onChange={listening ? () => setOpen(open === b.id ? null : b.id) : null}
              isOpen={open === b.id}
            >
              {open === b.id && <BlockChange block={b} deeds={deeds} onOut={onOut} onKept={() => setOpen(null)} />}
            </Block>,
          ])}
        </ol>
        <Skipped blocks={skipped} skip={deeds.skip} />
      </div>
      <aside>
        <Time blocks={blocks} minutes={plan.minutes} />
        <FitAdvice blocks={blocks} minutes={plan.minutes} deeds={deeds} disabled={fixed} />
        {plan.unreadable > 0 && <p>{WORDS.unreadable}</p>}
        <Advice blocks={blocks} disabled={fixed} onTake={take} />
        {canUndo && (
          <button type="button" className={styles.undo} disabled={fixed} onClick={undo}>
            {WORDS.undo}
          </button>
        )}
        <p role="alert">{trouble}</p>
        <p className="visually-hidden" role="status">
          {said}
        </p>
      </aside>
    </div>
  );
}
