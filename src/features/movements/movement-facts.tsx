import type { ReactNode } from 'react';
import { needsOf } from '@/core/book/choose';
import type { Variant } from '@/contract/views/plan';
import { facingText, postureText } from '@/messages/book';
import { ATTACHMENT_NAME, missingName } from '@/messages/kit';
import { hardestText, PLACE_TEXT, REGION_NAME } from '@/messages/movements';
import { regionChangeText, regionText, settingText } from '@/messages/settings';
import { posedOf } from '@/core/book/answer-question';
import type { ChosenMovement } from './movement-answer';
import { WORDS } from '@/messages/screens/movements';
import styles from './movements.module.css';

interface Props {
  readonly movement: ChosenMovement;
  readonly who: string;
  readonly variant: Variant | null;
}

function Fact({
  name,
  testId,
  children,
}: {
  readonly name: string;
  readonly testId?: string;
  readonly children: ReactNode;
}) {
  return (
    <div data-testid={testId}>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** Where it is set at a column, and what is set by rule and fit. */
function SetFacts({ movement }: Pick<Props, 'movement'>) {
  const { answer, column, settings } = movement;
  const load = answer.ok ? answer.from.entry.load : null;
  return (
    <>
      {answer.ok && answer.placement && column && (
        <Fact name="Set" testId="entry-plates">
          <b className={styles.setThis}>{WORDS.hole(answer.placement.hole)}</b>
          {WORDS.markedOut(Math.round(answer.placement.standX * 100), column.name)}{' '}
          {load?.kind === 'cable' && facingText(load.facing)}
        </Fact>
      )}
      {settings.map(settingText).map((t) => (
        <Fact key={t.label} name={t.label}>
          <b data-estimated={t.estimated || undefined}>{`${t.figure} ${t.unit}`.trim()}</b>, {t.note}
        </Fact>
      ))}
    </>
  );
}

/** How the range is loaded, and what this client's joints leave of it. */
function RangeFacts({ movement: { answer } }: Pick<Props, 'movement'>) {
  if (!answer.ok) return null;
  const { range } = posedOf(answer);
  return (
    <>
      <Fact name="Hardest">{hardestText(answer.metrics)}</Fact>
      {(range.cutStart || range.cutFinish) && (
        <Fact name="Left of it">{WORDS.cutToWhatThisClients(Math.round((range.to - range.from) * 100))}</Fact>
      )}
    </>
  );
}

/** A movement in facts: what it loads and why, how it is set, what it is done with, and at what pace. */
export function MovementFacts({ movement, who, variant }: Props) {
  const { own, answer, region } = movement;
  const entry = answer.ok ? answer.from.entry : own;
  const { load } = entry;
  const kit = [
    ...needsOf(entry).map(missingName),
    ...(load.kind === 'cable' ? [load.attachments.map((a) => ATTACHMENT_NAME[a]).join(' or ')] : []),
  ];
  return (
    <dl className={styles.facts}>
      <Fact name="For">{who}</Fact>
      <Fact name="Loads">
        <b>{REGION_NAME[entry.target]}</b>
        {entry.secondary.length > 0 && WORDS.besideIt(entry.secondary.map((r) => REGION_NAME[r]).join(', '))}
      </Fact>
      {region && (
        <Fact name="Why" testId="region">
          {regionText(region)} {region.changes.map(regionChangeText).join(' ')}
        </Fact>
      )}
      <SetFacts movement={movement} />
      <Fact name="Body">{postureText(entry.posture)}</Fact>
      <Fact name="Kit">{kit.join(', ') || WORDS.none}</Fact>
      <RangeFacts movement={movement} />
      <Fact name="Pace">
        {WORDS.repsAndRest(entry.reps.min, entry.reps.max, entry.tempo, entry.restS, PLACE_TEXT[entry.place])}
      </Fact>
      <Fact name="Cue">“{variant?.cue || own.text.cue}”</Fact>
    </dl>
  );
}
