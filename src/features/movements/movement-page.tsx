'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { findEntry } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { needsOf } from '@/core/book/choose';
import { faultsOf } from '@/core/book/entry-faults';
import { schoolsOf, withSchools, type SchoolChoice } from '@/core/book/school';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { SAMPLES } from '@/core/movement/chain-path';
import { USUAL_LOAD_KIT } from '@/core/book/entry-load';
import { solveEntry, type EntryAnswer } from '@/core/book/solve-entry';
import { USUAL_ATTACHMENT } from '@/core/kit/attachment';
import type { WorkingSide } from '@/core/setup/setup-problem';
import { KIT_KINDS, type KitKind } from '@/core/kit/kit-kind';
import type { MachineKind } from '@/core/kit/machine';
import { BOOK_TEXT, facingText, postureText } from '@/messages/book';
import { ATTACHMENT_NAME, KIT_CAUTION, KIT_NAME, MACHINE_NAME } from '@/messages/kit';
import { CAUTION } from '@/messages/cautions';
import { CORRECTION_TEXT, FAULT_TEXT, PHASE_NAME } from '@/messages/faults';
import { REGION_NAME } from '@/messages/movements';
import { SCHOOL_TEXT } from '@/messages/schools';
import { whereInRange } from '@/messages/reasons';
import type { ChoosingData } from '@/contract/choosing-data';
import { jointOf, MovementPlayer, SHOWN_KG } from './movement-player';
import styles from './movements.module.css';

const PLACE_TEXT: Readonly<Record<BookEntry['place'], string>> = { first: 'first, to wake it', early: 'early, while fresh', third: 'about third for its muscle, lighter', late: 'late', any: 'anywhere' };
const kitName = (n: KitKind | MachineKind): string => (KIT_KINDS.includes(n as KitKind) ? KIT_NAME[n as KitKind].one : MACHINE_NAME[n as MachineKind]);
const percent = (s: number): string => `${Math.round(s * 100)} %`;

/** The movement on the first column here that serves it, with a handle that fits or its usual length. */
function answerFor(entry: BookEntry, data: ChoosingData, side: WorkingSide): { readonly answer: EntryAnswer; readonly column: ChoosingData['kit']['columns'][number] | null } {
  const { load } = entry;
  const base = { body: data.body, range: data.range, side, loadKg: SHOWN_KG, surfaces: data.surfaces, loadKit: USUAL_LOAD_KIT };
  if (load.kind === 'cable') {
    const attachmentM = data.kit.attachments.find((a) => load.attachments.includes(a.kind))?.lengthM ?? USUAL_ATTACHMENT[load.attachments[0]!].lengthM;
    for (const column of data.kit.columns) {
      const answer = solveEntry(entry, { ...base, column: { column: column.column, room: column.room, attachmentM } });
      if (answer.ok) return { answer, column };
    }
  }
  return { answer: solveEntry(entry, { ...base, column: null }), column: null };
}

/** What changes with the stand-in, at the weight shown. */
function standInText(answer: EntryAnswer): string {
  if (!answer.ok) return 'It cannot be set for this body with what is here.';
  const { peakAt, loadedShare } = answer.metrics;
  return `Dashed on the curve: hardest ${whereInRange(peakAt)}, loaded over ${percent(loadedShare)}, at the ${jointOf(answer)}.`;
}

/** The movement as the chosen schools have it, ours where none is chosen, with its answer. */
function answerWithSchools(entryId: string, data: ChoosingData, side: WorkingSide, chosen: SchoolChoice) {
  const own = findEntry(entryId)!;
  // What the top of the range asks is judged on the movement as it is in the book.
  const plain = answerFor(own, data, side);
  const finishShare = plain.answer.ok ? plain.answer.samples.resistanceNm[SAMPLES - 1]! / plain.answer.metrics.peakResistanceNm : 1;
  const schools = schoolsOf(own, data.notes, finishShare);
  const entry = withSchools(own, { ...Object.fromEntries(schools.map((s) => [s.question, s.preset])), ...chosen });
  return { entry, schools, ...answerFor(entry, data, side) };
}

/** A movement of the book: how it is set, moved through on this body, what it loads, what stands in. */
export function MovementPage({ entryId, data }: { readonly entryId: string; readonly data: ChoosingData }) {
  const text = BOOK_TEXT[entryId]!;
  const sides = sidesOf(findEntry(entryId)!);
  const mounted = useMounted();
  const [side, setSide] = useState(sides.at(-1)!);
  const [chosen, setChosen] = useState<SchoolChoice>({});
  const { entry, schools, answer, column } = useMemo(() => answerWithSchools(entryId, data, side, chosen), [entryId, data, side, chosen]);
  const [standIn, setStandIn] = useState<string | null>(null);
  const besideAnswer = useMemo(() => {
    if (standIn === null) return null;
    const other = findEntry(standIn)!;
    const sidesThere = sidesOf(other);
    return answerFor(other, data, sidesThere.includes(side) ? side : sidesThere.at(-1)!).answer;
  }, [standIn, data, side]);
  const beside = useMemo(() => (standIn !== null && besideAnswer?.ok ? { name: BOOK_TEXT[standIn]!.name, resistanceNm: besideAnswer.samples.resistanceNm } : null), [standIn, besideAnswer]);
  const { load } = entry;
  const query = `?${new URLSearchParams({ ...(data.clientId ? { client: data.clientId } : {}), ...(data.gymId ? { gym: data.gymId } : {}) })}`;
  const who = data.clients.find((c) => c.id === data.clientId)?.name ?? 'a body of middle height';
  const faults = faultsOf(entry);
  const kinds = needsOf(entry).filter((n): n is KitKind => KIT_KINDS.includes(n as KitKind));
  const cautions = [...kinds.map((k) => KIT_CAUTION[k]), ...(entry.action.startsWith('shoulder') && entry.wantedPeak !== 'contracted' ? [CAUTION['deep-shoulder-stretch'].text] : []), CAUTION['stop-signs'].text];
  return (
    <div className={styles.page}>
      <section aria-label="Movement">
        <h1>{text.name}</h1>
        <p className={styles.how}>{text.how}</p>
        {answer.ok ? (
          <MovementPlayer key={`${entryId}-${side}-${JSON.stringify(chosen)}`} entry={entry} answer={answer} data={data} column={column?.column ?? null} beside={beside} />
        ) : (
          <p className={styles.blocked} role="alert">
            {answer.reason === 'range' ? `Too little of the range is left to ${who}.` : 'No column here serves this movement for this body.'}
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
        <dl className={styles.facts}>
          <div><dt>For</dt><dd>{who}</dd></div>
          <div><dt>Loads</dt><dd><b>{REGION_NAME[entry.target]}</b>{entry.secondary.length > 0 && `, beside it ${entry.secondary.map((r) => REGION_NAME[r]).join(', ')}`}</dd></div>
          {answer.ok && answer.placement && column && (
            <div data-testid="entry-plates"><dt>Set</dt><dd><b className={styles.setThis}>hole {answer.placement.hole}</b>, {Math.round(answer.placement.standX * 100)} cm out, {column.name}, {load.kind === 'cable' && facingText(load.facing)}</dd></div>
          )}
          <div><dt>Body</dt><dd>{postureText(entry.posture)}</dd></div>
          <div><dt>Kit</dt><dd>{[...needsOf(entry).map(kitName), ...(load.kind === 'cable' ? [load.attachments.map((a) => ATTACHMENT_NAME[a]).join(' or ')] : [])].join(', ') || 'none'}</dd></div>
          {answer.ok && (
            <div><dt>Hardest</dt><dd>{percent(answer.metrics.peakAt)} of the way, {whereInRange(answer.metrics.peakAt)}; loaded over {percent(answer.metrics.loadedShare)}, {answer.metrics.restShare < 0.005 ? 'no rest zone' : `${percent(answer.metrics.restShare)} rests`}{answer.metrics.helps ? '; in part of it the weight helps' : ''}</dd></div>
          )}
          {answer.ok && (answer.posed.range.cutStart || answer.posed.range.cutFinish) && (
            <div><dt>Range</dt><dd>cut to what this client’s joints allow: {percent(answer.posed.range.to - answer.posed.range.from)} of it is left</dd></div>
          )}
          <div><dt>Pace</dt><dd>{entry.reps.min} to {entry.reps.max} reps at {entry.tempo}, {entry.restS} s rest, {PLACE_TEXT[entry.place]}</dd></div>
          <div><dt>Cue</dt><dd>“{text.cue}”</dd></div>
        </dl>
        {schools.length > 0 && (
          <section aria-label="Where practitioners differ">
            <fieldset className={styles.schools} disabled={!mounted}>
            {schools.map((s) => (
              <div key={s.question}>
                <NativeSelect
                  label={SCHOOL_TEXT[s.question].asks}
                  data={s.options.map((o) => ({ value: o, label: `${SCHOOL_TEXT[s.question].options[o]}${o === s.preset ? ' (ours)' : ''}` }))}
                  value={chosen[s.question] ?? s.preset}
                  onChange={(e) => setChosen({ ...chosen, [s.question]: e.currentTarget.value })}
                />
                <p>{SCHOOL_TEXT[s.question].why}</p>
              </div>
            ))}
            </fieldset>
          </section>
        )}
        <ul className={styles.cautions}>
          {cautions.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
        {faults.length > 0 && (
          <details className={styles.faults}>
            <summary>What goes wrong, and what to try first</summary>
            <ul>
              {faults.map((f) => (
                <li key={f}>
                  <b>{FAULT_TEXT[f].seen}</b>
                  <span>{PHASE_NAME[FAULT_BOOK[f].phase]}: {FAULT_BOOK[f].corrections.map((c) => CORRECTION_TEXT[c].replace('Cue: ', '')).join('; ')}</span>
                </li>
              ))}
            </ul>
          </details>
        )}
        {entry.standIns.length > 0 && (
          <>
            <h2>Stands in for it</h2>
            <ul className={styles.standInList}>
              {entry.standIns.map((s) => (
                <li key={s}>
                  <Link href={`/movements/${s}${query}`}>{BOOK_TEXT[s]!.name}</Link>
                  <button type="button" aria-pressed={s === standIn} disabled={!mounted} aria-label={`Curve of ${BOOK_TEXT[s]!.name} beside this one`} onClick={() => setStandIn(s === standIn ? null : s)}>
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
