'use client';
import { Alert } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import type { WorkingSide } from '@/core/body/side';
import { entryOf, type MovementId } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { cautionsOf } from '@/core/book/entry-cautions';
import { usualOptions, type EntryOptions } from '@/core/book/entry-options';
import type { PracticeChoice } from '@/core/book/practice';
import type { SaveResult } from '@/contract/save-result';
import type { ChoosingView } from '@/contract/views/choosing';
import { ChoiceRow } from '@/features/shell/choice-row';
import { Link } from '@/features/shell/link';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { movementName } from '@/messages/book';
import { CAUTION } from '@/messages/cautions';
import { choosingQuery, planQuery, spottingQuery } from './choosing-query';
import { FaultList } from './fault-list';
import { answerAsChosen, answerOfStandIn } from './movement-answer';
import { MovementFacts } from './movement-facts';
import { MovementPlayer } from './movement-player';
import { PracticeFields } from './practice-fields';
import { StandIns } from './stand-ins';
import { VariantEditor } from './variant-editor';
import { shownFaults } from '@/core/fault/show-fault';
import { WORDS } from '@/messages/screens/movements';
import { WORDS as SPOTTING } from '@/messages/screens/spotting';
import styles from './movements.module.css';

interface Props {
  readonly entryId: MovementId;
  readonly data: ChoosingView;
  readonly keep: (typed: unknown) => Promise<SaveResult>;
  /** Variant that another place asked for. */
  readonly asked: string | null;
}

/** Which variant is shown, and the choices that stand: the variant's, then what was changed by hand. */
function useChosenOptions({ entryId, data, asked }: Props) {
  const variants = data.variants.filter((v) => v.movement === entryId);
  const bookOptions = useMemo(() => usualOptions(entryOf(entryId), data.range.fit), [entryId, data]);
  const [variantId, setVariantId] = useState(variants.some((v) => v.id === asked) ? asked : null);
  const variant = variants.find((v) => v.id === variantId) ?? null;
  const [options, setOptions] = useState<EntryOptions>(() => ({ ...bookOptions, ...variant?.options }));
  const pick = (id: string | null): void => {
    setVariantId(id);
    setOptions({ ...bookOptions, ...variants.find((v) => v.id === id)?.options });
  };
  const change = (c: Partial<EntryOptions>): void => setOptions((o) => ({ ...o, ...c }));
  return { variants, variant, options, pick, change, onKept: setVariantId };
}

/** What another movement's curve shows beside this one. */
function useStandInCurve(data: ChoosingView, side: WorkingSide) {
  const [shown, show] = useState<string | null>(null);
  const answer = useMemo(() => (shown === null ? null : answerOfStandIn(shown, data, side)), [shown, data, side]);
  const curve = useMemo(
    () =>
      shown !== null && answer?.ok ? { name: movementName(shown), resistanceNm: answer.samples.resistanceNm } : null,
    [shown, answer],
  );
  return { shown, show, answer, curve };
}

/** Which side works and which way of doing it is shown. */
function Pickers(props: {
  readonly sides: readonly WorkingSide[];
  readonly side: WorkingSide;
  readonly onSide: (side: WorkingSide) => void;
  readonly chosen: ReturnType<typeof useChosenOptions>;
}) {
  const { sides, side, onSide } = props;
  const { variants, variant, pick } = props.chosen;
  return (
    <>
      {sides.length > 1 && (
        <ChoiceRow
          className={styles.sides}
          label={WORDS.workingSide}
          value={side}
          options={sides.map((s) => ({ value: s, label: s }))}
          onChange={onSide}
        />
      )}
      {variants.length > 0 && (
        <ChoiceRow
          className={styles.variants}
          label={WORDS.variant}
          value={variant?.id ?? ''}
          options={[{ value: '', label: WORDS.bookVariant }, ...variants.map((v) => ({ value: v.id, label: v.name }))]}
          onChange={(id) => pick(id === '' ? null : id)}
        />
      )}
    </>
  );
}

/** What practitioners differ on for this movement; nothing where they agree. */
function Practices(props: {
  readonly movement: ReturnType<typeof answerAsChosen>;
  readonly disabled: boolean;
  readonly onChange: (choice: PracticeChoice) => void;
}) {
  const { practices, chosen, chosenBy, answer } = props.movement;
  if (practices.length === 0) return null;
  return (
    <section aria-label={WORDS.wherePractitionersDiffer}>
      <fieldset className={styles.practices} disabled={props.disabled}>
        <PracticeFields
          practices={practices}
          chosen={chosen}
          chosenBy={chosenBy}
          question={answer.ok ? answer.from.question : null}
          onChoose={props.onChange}
        />
      </fieldset>
    </section>
  );
}

/** To the practice of seeing this movement's faults, where a drawing shows any. */
const SpottingLink = ({ own, entryId, data }: Pick<Props, 'entryId' | 'data'> & { readonly own: BookEntry }) =>
  shownFaults(own).length === 0 ? null : (
    <Link className={styles.spot} href={spottingQuery(data, entryId)}>
      {SPOTTING.practiseSpotting}
    </Link>
  );

/** Everything to read and choose beside the moving figure. */
function Facts(
  props: Props & {
    readonly own: BookEntry;
    readonly side: WorkingSide;
    readonly onSide: (side: WorkingSide) => void;
    readonly chosen: ReturnType<typeof useChosenOptions>;
    readonly movement: ReturnType<typeof answerAsChosen>;
    readonly who: string;
    readonly standIn: ReturnType<typeof useStandInCurve>;
  },
) {
  const { entryId, data, keep, own, side, onSide, chosen, movement, who, standIn } = props;
  const { variant, options, change, onKept } = chosen;
  const { answer } = movement;
  const mounted = useMounted();
  return (
    <aside aria-label={WORDS.facts}>
      <UnreadableNote rows={data.unreadable} />
      <Pickers sides={sidesOf(own)} side={side} onSide={onSide} chosen={chosen} />
      <MovementFacts movement={movement} who={who} variant={variant} />
      <Practices
        movement={movement}
        disabled={!mounted}
        onChange={(c) => change({ practices: { ...options.practices, ...c } })}
      />
      {mounted && (
        <VariantEditor
          key={variant?.id ?? 'book'}
          entry={own}
          options={options}
          armPathDeg={data.range.fit.armPathDeg[side === 'left' ? 'left' : 'right']}
          variant={variant}
          onOptions={change}
          keep={keep}
          onKept={onKept}
        />
      )}
      <Link className={styles.planIt} href={planQuery(data, entryId, variant?.id ?? null)}>
        {WORDS.addItToToday}
      </Link>
      <ul className={styles.cautions}>
        {cautionsOf(answer.ok ? answer.from.entry : own).map((c) => (
          <li key={c}>{CAUTION[c].text}</li>
        ))}
      </ul>
      <FaultList answer={answer} own={own} />
      <SpottingLink own={own} entryId={entryId} data={data} />
      <StandIns
        own={own}
        query={choosingQuery(data)}
        shown={standIn.shown}
        answer={standIn.answer}
        disabled={!mounted}
        onShow={standIn.show}
      />
    </aside>
  );
}

/**
 * A movement of the book: how it is set, moved through on this body, what it loads, what stands in, and the trainer's
 * own ways of doing it.
 */
export function MovementPage(props: Props) {
  const { entryId, data } = props;
  const own = entryOf(entryId);
  const [side, setSide] = useState(sidesOf(own).at(-1)!);
  const chosen = useChosenOptions(props);
  const movement = useMemo(
    () => answerAsChosen(entryId, data, side, chosen.options),
    [entryId, data, side, chosen.options],
  );
  const { answer } = movement;
  const standIn = useStandInCurve(data, side);
  const who = data.clients.find((c) => c.id === data.clientId)?.name ?? WORDS.aBodyOfMiddleHeight;
  return (
    <div className={styles.page}>
      <section aria-label={WORDS.movement}>
        <h1>{own.text.name}</h1>
        <p className={styles.how}>{own.text.how}</p>
        {answer.ok ? (
          <MovementPlayer key={`${entryId}-${side}`} answer={answer} beside={standIn.curve} />
        ) : (
          <Alert className={styles.blocked}>
            {answer.reason === 'range' ? WORDS.tooLittleOfTheRange(who) : WORDS.noColumnHereServesThis}
          </Alert>
        )}
      </section>
      <Facts
        {...props}
        own={own}
        side={side}
        onSide={setSide}
        chosen={chosen}
        movement={movement}
        who={who}
        standIn={standIn}
      />
    </div>
  );
}
