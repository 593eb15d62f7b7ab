'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { findEntry } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { needsOf } from '@/core/book/choose';
import { cautionsOf } from '@/core/book/entry-cautions';
import { usualOptions, type EntryOptions } from '@/core/book/entry-options';
import type { EntryAnswer } from '@/core/book/solve-entry';
import { KIT_KINDS, type KitKind } from '@/core/kit/kit-kind';
import type { MachineKind } from '@/core/kit/machine';
import { BOOK_TEXT, facingText, postureText } from '@/messages/book';
import { ATTACHMENT_NAME, KIT_NAME, MACHINE_NAME } from '@/messages/kit';
import { CAUTION } from '@/messages/cautions';
import { REGION_NAME } from '@/messages/movements';
import { SCHOOL_TEXT } from '@/messages/schools';
import { whereInRange } from '@/messages/reasons';
import type { ChoosingData } from '@/contract/choosing-data';
import { jointName } from '@/messages/joints';
import { regionChangeText, regionText, settingText } from '@/messages/settings';
import type { SaveOutcome } from '@/features/shell/use-saved-form';
import { FaultList } from './fault-list';
import { answerAsChosen, answerOfStandIn } from './movement-answer';
import { MovementPlayer } from './movement-player';
import { VariantEditor } from './variant-editor';
import { choosingQuery } from './choosing-query';
import styles from './movements.module.css';

const PLACE_TEXT: Readonly<Record<BookEntry['place'], string>> = {
  first: 'first, to wake it',
  early: 'early, while fresh',
  third: 'about third for its muscle, lighter',
  late: 'late',
  any: 'anywhere',
};
const kitName = (n: KitKind | MachineKind): string =>
  KIT_KINDS.includes(n as KitKind) ? KIT_NAME[n as KitKind].one : MACHINE_NAME[n as MachineKind];
const percent = (s: number): string => `${Math.round(s * 100)} %`;

/** What changes with the stand-in, at the weight shown. */
function standInText(answer: EntryAnswer): string {
  if (!answer.ok) return 'It cannot be set for this body with what is here.';
  const { peakAt, loadedShare } = answer.metrics;
  return (
    `Dashed on the curve: hardest ${whereInRange(peakAt)}, loaded over ${percent(loadedShare)}, ` +
    `at the ${jointName(answer.posed)}.`
  );
}

type Keep = (typed: unknown) => Promise<SaveOutcome>;

/**
 * A movement of the book: how it is set, moved through on this body, what it loads, what stands in, and the trainer's
 * own ways of doing it.
 */
export function MovementPage({
  entryId,
  data,
  keep,
  asked,
}: {
  readonly entryId: string;
  readonly data: ChoosingData;
  readonly keep: Keep;
  readonly asked: string | null;
}) {
  const text = BOOK_TEXT[entryId]!;
  const sides = sidesOf(findEntry(entryId)!);
  const mounted = useMounted();
  const [side, setSide] = useState(sides.at(-1)!);
  const variants = data.variants.filter((v) => v.movement === entryId);
  const [variantId, setVariantId] = useState(variants.some((v) => v.id === asked) ? asked : null);
  const variant = variants.find((v) => v.id === variantId) ?? null;
  const bookOptions = useMemo(() => usualOptions(findEntry(entryId)!, data.range.fit), [entryId, data]);
  const [options, setOptions] = useState<EntryOptions>(() => ({ ...bookOptions, ...variant?.options }));
  const { own, entry, schools, chosen, answer, column, settings, region } = useMemo(
    () => answerAsChosen(entryId, data, side, options),
    [entryId, data, side, options],
  );
  const pick = (id: string | null): void => {
    setVariantId(id);
    setOptions({ ...bookOptions, ...variants.find((v) => v.id === id)?.options });
  };
  const change = (c: Partial<EntryOptions>): void => setOptions((o) => ({ ...o, ...c }));
  const [standIn, setStandIn] = useState<string | null>(null);
  const besideAnswer = useMemo(
    () => (standIn === null ? null : answerOfStandIn(standIn, data, side)),
    [standIn, data, side],
  );
  const beside = useMemo(
    () =>
      standIn !== null && besideAnswer?.ok
        ? { name: BOOK_TEXT[standIn]!.name, resistanceNm: besideAnswer.samples.resistanceNm }
        : null,
    [standIn, besideAnswer],
  );
  const { load } = entry;
  const query = choosingQuery(data);
  const who = data.clients.find((c) => c.id === data.clientId)?.name ?? 'a body of middle height';
  const cautions = cautionsOf(entry).map((c) => CAUTION[c].text);
  const planQuery = new URLSearchParams({
    plan: entryId,
    ...(variant ? { variant: variant.id } : {}),
    ...(data.clientId ? { client: data.clientId } : {}),
  });
  return (
    <div className={styles.page}>
      <section aria-label="Movement">
        <h1>{text.name}</h1>
        <p className={styles.how}>{text.how}</p>
        {answer.ok ? (
          <MovementPlayer
            key={`${entryId}-${side}`}
            entry={entry}
            answer={answer}
            body={data.body}
            kit={data.kit}
            column={column?.column ?? null}
            beside={beside}
          />
        ) : (
          <p className={styles.blocked} role="alert">
            {answer.reason === 'range'
              ? `Too little of the range is left to ${who}.`
              : 'No column here serves this movement for this body.'}
          </p>
        )}
      </section>
      <aside aria-label="Facts">
        {sides.length > 1 && (
          <div role="radiogroup" aria-label="Working side" className={styles.sides}>
            {sides.map((s) => (
              <button key={s} type="button" role="radio" aria-checked={s === side} onClick={() => setSide(s)}>
                {s}
              </button>
            ))}
          </div>
        )}
        {variants.length > 0 && (
          <div role="radiogroup" aria-label="Variant" className={styles.variants}>
            {[{ id: null, name: 'As in the book' }, ...variants].map((v) => (
              <button
                key={v.id ?? 'book'}
                type="button"
                role="radio"
                aria-checked={v.id === variantId}
                onClick={() => pick(v.id)}
              >
                {v.name}
              </button>
            ))}
          </div>
        )}
        <dl className={styles.facts}>
          <div>
            <dt>For</dt>
            <dd>{who}</dd>
          </div>
          <div>
            <dt>Loads</dt>
            <dd>
              <b>{REGION_NAME[entry.target]}</b>
              {entry.secondary.length > 0 && `, beside it ${entry.secondary.map((r) => REGION_NAME[r]).join(', ')}`}
            </dd>
          </div>
          {region && (
            <div data-testid="region">
              <dt>Why</dt>
              <dd>
                {regionText(region)} {region.changes.map(regionChangeText).join(' ')}
              </dd>
            </div>
          )}
          {answer.ok && answer.placement && column && (
            <div data-testid="entry-plates">
              <dt>Set</dt>
              <dd>
                <b className={styles.setThis}>hole {answer.placement.hole}</b>,{' '}
                {Math.round(answer.placement.standX * 100)} cm out, {column.name},{' '}
                {load.kind === 'cable' && facingText(load.facing)}
              </dd>
            </div>
          )}
          {settings.map(settingText).map((t) => (
            <div key={t.label}>
              <dt>{t.label}</dt>
              <dd>
                <b data-estimated={t.estimated || undefined}>
                  {t.figure} {t.unit}
                </b>
                , {t.note}
              </dd>
            </div>
          ))}
          <div>
            <dt>Body</dt>
            <dd>{postureText(entry.posture)}</dd>
          </div>
          <div>
            <dt>Kit</dt>
            <dd>
              {[
                ...needsOf(entry).map(kitName),
                ...(load.kind === 'cable' ? [load.attachments.map((a) => ATTACHMENT_NAME[a]).join(' or ')] : []),
              ].join(', ') || 'none'}
            </dd>
          </div>
          {answer.ok && (
            <div>
              <dt>Hardest</dt>
              <dd>
                {percent(answer.metrics.peakAt)} of the way, {whereInRange(answer.metrics.peakAt)}; loaded over{' '}
                {percent(answer.metrics.loadedShare)},{' '}
                {answer.metrics.restShare < 0.005 ? 'no rest zone' : `${percent(answer.metrics.restShare)} rests`}
                {answer.metrics.helps ? '; in part of it the weight helps' : ''}
              </dd>
            </div>
          )}
          {answer.ok && (answer.posed.range.cutStart || answer.posed.range.cutFinish) && (
            <div>
              <dt>Range</dt>
              <dd>
                cut to what this client’s joints allow: {percent(answer.posed.range.to - answer.posed.range.from)} of it
                is left
              </dd>
            </div>
          )}
          <div>
            <dt>Pace</dt>
            <dd>
              {entry.reps.min} to {entry.reps.max} reps at {entry.tempo}, {entry.restS} s rest,{' '}
              {PLACE_TEXT[entry.place]}
            </dd>
          </div>
          <div>
            <dt>Cue</dt>
            <dd>“{variant?.cue || text.cue}”</dd>
          </div>
        </dl>
        {schools.length > 0 && (
          <section aria-label="Where practitioners differ">
            <fieldset className={styles.schools} disabled={!mounted}>
              {schools.map((s) => (
                <div key={s.question}>
                  <NativeSelect
                    label={SCHOOL_TEXT[s.question].asks}
                    data={s.options.map((o) => ({
                      value: o,
                      label: `${SCHOOL_TEXT[s.question].options[o]}${o === s.preset ? ' (ours)' : ''}`,
                    }))}
                    value={chosen[s.question] ?? s.preset}
                    onChange={(e) => change({ schools: { ...options.schools, [s.question]: e.currentTarget.value } })}
                  />
                  <p>{SCHOOL_TEXT[s.question].why}</p>
                </div>
              ))}
            </fieldset>
          </section>
        )}
        {mounted && (
          <VariantEditor
            key={variantId ?? 'book'}
            entry={own}
            options={options}
            armPathDeg={data.range.fit.armPathDeg[side === 'left' ? 'left' : 'right']}
            variant={variant}
            onOptions={change}
            keep={keep}
            onKept={setVariantId}
          />
        )}
        <Link className={styles.planIt} href={`/?${planQuery}#plan`}>
          Add it to today
        </Link>
        <ul className={styles.cautions}>
          {cautions.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
        <FaultList entry={entry} options={options} answer={answer} column={column} data={data} side={side} />
        {entry.standIns.length > 0 && (
          <>
            <h2>Stands in for it</h2>
            <ul className={styles.standInList}>
              {entry.standIns.map((s) => (
                <li key={s}>
                  <Link href={`/movements/${s}${query}`}>{BOOK_TEXT[s]!.name}</Link>
                  <button
                    type="button"
                    aria-pressed={s === standIn}
                    disabled={!mounted}
                    aria-label={`Curve of ${BOOK_TEXT[s]!.name} beside this one`}
                    onClick={() => setStandIn(s === standIn ? null : s)}
                  >
                    curve
                  </button>
                  {s === standIn && besideAnswer && <span>{standInText(besideAnswer)}</span>}
                </li>
              ))}
            </ul>
          </>
        )}
      </aside>
    </div>
  );
}
