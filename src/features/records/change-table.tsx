'use client';
import { Table } from '@mantine/core';
import type { ChangeView } from '@/contract/views/account';
import { WORDS } from '@/messages/screens/records';
import styles from '@/features/shell/lists.module.css';

interface Props {
  readonly changes: readonly ChangeView[];
  /** Whether it says whose each change is: a client's own sheet does not. */
  readonly named: boolean;
  readonly label: string;
}

/** Who changed what, when, from what to what; newest first. */
export function ChangeTable({ changes, named, label }: Props) {
  if (changes.length === 0) return <p className={styles.quiet}>{WORDS.noHistory}</p>;
  const heads = [WORDS.when, WORDS.who, ...(named ? [WORDS.concerning] : []), WORDS.what, WORDS.from, WORDS.to];
  return (
    <div className={styles.scroll} tabIndex={0} role="region" aria-label={label}>
      <Table>
        <Table.Thead>
          <Table.Tr>
            {heads.map((head) => (
              <Table.Th key={head} scope="col">
                {head}
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {changes.map((c) => (
            <Table.Tr key={c.id}>
              <Table.Td>{c.when}</Table.Td>
              <Table.Td>{c.who}</Table.Td>
              {named && <Table.Td>{c.subject}</Table.Td>}
              <Table.Td>{c.what}</Table.Td>
              <Table.Td>{c.before}</Table.Td>
              <Table.Td>{c.after}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </div>
  );
}
