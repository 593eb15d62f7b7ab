'use client';
import { Button, NativeSelect } from '@mantine/core';
import { BOOK } from '@/core/book/book';
import type { SheetNames } from '@/contract/spreadsheet-form';
import type { SheetNamesView, SheetNameView } from '@/contract/views/records';
import lists from '@/features/shell/lists.module.css';
import { SHEETS as WORDS } from '@/messages/spreadsheet';
import styles from './spreadsheet.module.css';

interface Thing {
  readonly id: string;
  readonly name: string;
}

const MOVEMENTS: readonly Thing[] = BOOK.map(({ id, text }) => ({ id, name: text.name }));

interface Props {
  readonly title: string;
  readonly names: readonly SheetNameView[];
  readonly things: readonly Thing[];
  readonly meanings: Readonly<Record<string, string>>;
  readonly onChange: (to: Record<string, string>) => void;
}

function NameList({ title, names, things, meanings, onChange }: Props) {
  if (names.length === 0) return null;
  const open = names.filter(({ said }) => !meanings[said]).length;
  const options = [{ value: '', label: WORDS.leaveOut }, ...things.map(({ id, name }) => ({ value: id, label: name }))];
  const nameOf = (id: string): string => things.find((t) => t.id === id)?.name ?? id;
  return (
    <>
      <h3>{title}</h3>
      <ul className={lists.people} aria-label={title}>
        {names.map(({ said, times, likest }) => (
          <li key={said}>
            <div className={lists.line}>
              <span className={styles.said}>
                {said} <span className={lists.quiet}>{WORDS.rowsOf(times)}</span>
              </span>
              <NativeSelect
                className={styles.means}
                aria-label={WORDS.meansOf(said)}
                value={meanings[said] ?? ''}
                onChange={(e) => onChange({ ...meanings, [said]: e.target.value })}
                data={options}
              />
              {!meanings[said] &&
                likest.map((id) => (
                  <Button key={id} variant="outline" onClick={() => onChange({ ...meanings, [said]: id })}>
                    {nameOf(id)}
                  </Button>
                ))}
            </div>
          </li>
        ))}
      </ul>
      {open > 0 && <p>{WORDS.open(open)}</p>}
    </>
  );
}

/** Names of a sheet beside what they stand for here: what is likely is one press away, and nothing is taken unasked. */
export function SheetNameLists({
  names,
  clients,
  meanings,
  onChange,
}: {
  readonly names: SheetNamesView;
  readonly clients: readonly Thing[];
  readonly meanings: SheetNames;
  readonly onChange: (to: SheetNames) => void;
}) {
  return (
    <>
      <NameList
        title={WORDS.movements}
        names={names.movements}
        things={MOVEMENTS}
        meanings={meanings.movements}
        onChange={(movements) => onChange({ ...meanings, movements })}
      />
      <NameList
        title={WORDS.clients}
        names={names.clients}
        things={clients}
        meanings={meanings.clients}
        onChange={(to) => onChange({ ...meanings, clients: to })}
      />
    </>
  );
}
