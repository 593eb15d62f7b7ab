'use client';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useMounted } from '@mantine/hooks';
import { useMemo, useState, type ReactNode } from 'react';
import type { PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { bestOrder, brokenRules, MOST_ORDERED, orderCost } from '@/core/plan/session-order';
import { CHANGES, type ChangeTimes } from '@/core/plan/session-time';
import { blocksSeconds } from '@/core/plan/turns';
import { groupBy } from '@/core/record/group-by';
import { RULE_TEXT } from '@/messages/plan';
import { WORDS } from '@/messages/screens/plan';
import { BlockChange, type BlockDeeds } from './block-change';
import { FitAdvice } from './fit-advice';
import { Skipped, TookOut } from './left-out';
import { Between, Block } from './ribbon-block';
import { dropped, useOrder, type Kept } from './use-order';
import styles from './plan.module.css';

type Props = Kept & { readonly deeds: BlockDeeds };

/** How long it takes against the time there is. */
function Time({ blocks, plan }: { readonly blocks: readonly PlanBlockView[]; readonly plan: SessionPlanView }) {
  const { minutes, times } = plan;
  const taken = Math.round(blocksSeconds(blocks, times) / 60);
  const isLearned = CHANGES.some((c) => times[c].isWhole);
  return (
    <div className={styles.time} role="status">
      <b data-estimated>{WORDS.total(taken, minutes)}</b>
      <p>{taken > minutes ? WORDS.over(taken - minutes) : WORDS.fits(minutes - taken)}</p>
      <p className={styles.quiet}>{isLearned ? WORDS.estimatedAsLearned : WORDS.estimated}</p>
    </div>
  );
}

/** The computed order beside the one that stands, and what stands against the usual order. */
function Advice(props: {
  readonly blocks: readonly PlanBlockView[];
  readonly times: ChangeTimes;
  readonly disabled: boolean;
  readonly onTake: (order: readonly PlanBlockView[]) => void;
}) {
  const { blocks, times, disabled, onTake } = props;
  const best = useMemo(() => bestOrder(blocks, (b) => b.isBegun, times), [blocks, times]);
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
            : WORDS.saves(Math.round(orderCost(blocks, times) - orderCost(best, times)))}
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

/** A session as a ribbon of its stations; what was taken out of it can be put back while the page is open. */
export function SessionPlan(props: Props) {
  const { plan } = props;
  const [out, setOut] = useState<PlanBlockView | null>(null);
  // What is planned there follows the server: what was tried with other movements is over.
  const key = plan.blocks.map((b) => `${b.id} ${b.isBegun} ${b.skipped} ${b.pairId} ${b.isPinned} ${b.says}`);
  return (
    <>
      {out && <TookOut block={out} deeds={props.deeds} onBack={() => setOut(null)} />}
      {plan.blocks.length === 0 ? (
        <p className={styles.quiet}>{WORDS.nothingPlanned}</p>
      ) : (
        <Ribbon key={key.toSorted().join()} {...props} onOut={setOut} />
      )}
    </>
  );
}

/** So far a finger goes before it drags, pixels. */
const DRAGS_FROM = 6;

/** What is dragged, and over which block it is now. */
interface Drag {
  readonly id: string;
  readonly over: string;
}

/** A list whose blocks can be taken hold of: over which one is told on the way, and where it was let go. */
function Draggable(props: {
  readonly ids: readonly string[];
  readonly isFixed: (id: string) => boolean;
  readonly onDrag: (drag: Drag | null) => void;
  readonly onDrop: (id: string, onto: string) => void;
  readonly children: ReactNode;
}) {
  const { ids, isFixed, onDrag, onDrop, children } = props;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAGS_FROM } }));
  return (
    <DndContext
      id="ribbon"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragOver={({ active, over }) => onDrag({ id: String(active.id), over: String(over?.id ?? active.id) })}
      onDragCancel={() => onDrag(null)}
      onDragEnd={({ active, over }) => {
        onDrag(null);
        // What was begun stays where it is, with everything before it.
        if (over && !isFixed(String(over.id))) onDrop(String(active.id), String(over.id));
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** Its order, what lies between its movements, and its time: while one is dragged, as it would be there. */
function Ribbon(props: Props & { readonly onOut: (block: PlanBlockView) => void }) {
  const { plan, deeds, onOut } = props;
  const { blocks, skipped, move, drop, take, undo, canUndo, said, trouble } = useOrder(props);
  const [open, setOpen] = useState<string | null>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const listening = useMounted();
  const fixed = !listening || plan.unreadable > 0;
  const ids = blocks.map((b) => b.id);
  const tried = drag ? dropped(ids, drag.id, drag.over).flatMap((id) => blocks.find((b) => b.id === id) ?? []) : blocks;
  return (
    <div className={styles.plan}>
      <div>
        <Draggable
          ids={ids}
          isFixed={(id) => blocks.some((b) => b.id === id && b.isBegun)}
          onDrag={setDrag}
          onDrop={drop}
        >
          <ol className={styles.ribbon} aria-label={WORDS.ribbon}>
            {blocks.flatMap((b, k) => [
              ...(k > 0 ? [<Between key={`to-${b.id}`} from={blocks[k - 1]!} to={b} times={plan.times} />] : []),
              <Block
                key={b.id}
                block={b}
                onEarlier={fixed || k === 0 ? null : () => move(k, -1)}
                onLater={fixed || k === blocks.length - 1 ? null : () => move(k, 1)}
                onChange={listening ? () => setOpen(open === b.id ? null : b.id) : null}
                isOpen={open === b.id}
                canDrag={!fixed && !b.isBegun && open === null}
              >
                {open === b.id && (
                  <BlockChange
                    {...{ block: b, blocks, times: plan.times, deeds, onOut }}
                    onKept={() => setOpen(null)}
                  />
                )}
              </Block>,
            ])}
          </ol>
        </Draggable>
        <Skipped blocks={skipped} skip={deeds.skip} />
      </div>
      <aside>
        <Time blocks={tried} plan={plan} />
        <FitAdvice blocks={blocks} plan={plan} deeds={deeds} disabled={fixed} />
        {plan.unreadable > 0 && <p>{WORDS.unreadable}</p>}
        <Advice blocks={tried} times={plan.times} disabled={fixed || drag !== null} onTake={take} />
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
