'use client';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconGripVertical } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { PlanBlockView } from '@/contract/views/session-plan';
import { betweenS, changeAloneS, changeBetween, sessionSeconds, type ChangeTimes } from '@/core/plan/session-time';
import { savedInTurns } from '@/core/plan/turns';
import { Link } from '@/features/shell/link';
import { CHANGE_TEXT } from '@/messages/plan';
import { WORDS } from '@/messages/screens/plan';
import { WORDS as WEEK } from '@/messages/screens/week';
import styles from './plan.module.css';

/** What lies between two movements of the ribbon. */
export function Between(props: {
  readonly from: PlanBlockView;
  readonly to: PlanBlockView;
  readonly times: ChangeTimes;
}) {
  const { from, to, times } = props;
  const [a, b] = [from.items.at(-1)!, to.items[0]!];
  const change = changeBetween(a, b);
  if (from.pairId !== null && from.pairId === to.pairId)
    return (
      <li className={styles.between} data-turns>
        {WORDS.inTurns(
          CHANGE_TEXT[change],
          changeAloneS(change, times),
          WORDS.savesText(savedInTurns(from, to, times)),
        )}
      </li>
    );
  return <li className={styles.between}>{WORDS.change(CHANGE_TEXT[change], betweenS(a, b, times))}</li>;
}

interface Moved {
  readonly block: PlanBlockView;
  readonly onEarlier: (() => void) | null;
  readonly onLater: (() => void) | null;
  readonly onChange: (() => void) | null;
  readonly isOpen: boolean;
}

/** Earlier, later, and what else can be changed. */
function Moves({ block, onEarlier, onLater, onChange, isOpen }: Moved) {
  return (
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
  );
}

/** A movement of the ribbon: taken hold of at its grip, or moved by its buttons and their keys. */
export function Block(
  props: Moved & {
    /** Whether it can be taken hold of and put elsewhere. */
    readonly canDrag: boolean;
    readonly children: ReactNode;
  },
) {
  const { block, canDrag, children } = props;
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: block.id,
    disabled: !canDrag,
  });
  return (
    <li
      ref={setNodeRef}
      className={styles.block}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-block={block.id}
      data-begun={block.isBegun || undefined}
      data-dragging={isDragging || undefined}
    >
      <span ref={setActivatorNodeRef} {...listeners} className={styles.grip} data-grip hidden={!canDrag} aria-hidden>
        <IconGripVertical stroke={1.5} />
      </span>
      <Link href={`/setup/${block.id}`}>
        <b>{block.name}</b>
        <span>
          {block.says}
          {block.station && `. ${block.station}`}
          {block.load !== null && !block.lifted && !block.isBegun && `. ${WORDS.notLifted}`}
          {block.isPinned && `. ${WORDS.pinned}`}
        </span>
      </Link>
      <em>{WORDS.minutes(sessionSeconds(block.items))}</em>
      <Moves {...props} />
      {children}
    </li>
  );
}
