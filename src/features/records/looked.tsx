'use client';
import { Alert, Button, Progress, Table } from '@mantine/core';
import type { SaveResult } from '@/contract/save-result';
import type { LookedView } from '@/contract/views/records';
import { useDeed } from '@/features/shell/use-deed';
import styles from '@/features/shell/lists.module.css';
import { TableHead } from '@/features/shell/table-head';
import { RECORDS_FILE as WORDS } from '@/messages/records-file';

export type Take = (id: string) => Promise<SaveResult>;

function Counts({ looked }: { readonly looked: LookedView }) {
  return (
    <Table.ScrollContainer minWidth={560}>
      <Table>
        <TableHead words={[WORDS.table, WORDS.fresh, WORDS.changed, WORDS.same, WORDS.rejected]} />
        <Table.Tbody>
          {looked.tables.map((t) => (
            <Table.Tr key={t.table} data-table={t.table}>
              <Table.Td>
                {t.table}
                <span className={styles.quiet}> {t.holds}</span>
              </Table.Td>
              <Table.Td>{t.fresh}</Table.Td>
              <Table.Td>{t.changed}</Table.Td>
              <Table.Td>{t.same}</Table.Td>
              <Table.Td>{t.rejected}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Table.ScrollContainer>
  );
}

function Rejected({ looked, byTable }: { readonly looked: LookedView; readonly byTable: boolean }) {
  const all = looked.tables.reduce((sum, t) => sum + t.rejected, 0);
  if (all === 0) return null;
  return (
    <Table.ScrollContainer minWidth={560}>
      <Table>
        <TableHead words={[...(byTable ? [WORDS.table] : []), WORDS.row, WORDS.column, WORDS.why]} />
        <Table.Tbody>
          {looked.rejected.map((r, k) => (
            <Table.Tr key={k}>
              {byTable && <Table.Td>{r.table}</Table.Td>}
              <Table.Td>{r.row}</Table.Td>
              <Table.Td>{r.column || WORDS.whole}</Table.Td>
              <Table.Td>{r.why}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {all > looked.rejected.length && <p>{WORDS.more(all - looked.rejected.length)}</p>}
    </Table.ScrollContainer>
  );
}

/** How far a file is read, and the press that stops it; nothing where none is. */
export function LookProgress({ share, cancel }: { readonly share: number | null; readonly cancel: () => void }) {
  if (share === null) return null;
  return (
    <>
      <div className={styles.line}>
        <Button variant="outline" onClick={cancel}>
          {WORDS.stop}
        </Button>
        <span role="status">{WORDS.sending(share)}</span>
      </div>
      <Progress value={100 * share} aria-label={WORDS.sending(share)} />
    </>
  );
}

/** What a file would do, and the press that does it. */
export function Looked({
  looked,
  take,
  onTaken,
  byTable = true,
  takeText = WORDS.take,
}: {
  readonly looked: LookedView;
  readonly take: Take;
  readonly onTaken: () => void;
  /** Rows are told by the table that they are in: a spreadsheet is one. */
  readonly byTable?: boolean;
  readonly takeText?: (rows: number) => string;
}) {
  const { busy, trouble, run } = useDeed();
  const rows = looked.tables.reduce((sum, t) => sum + t.fresh + t.changed, 0);
  return (
    <>
      <Counts looked={looked} />
      <Rejected looked={looked} byTable={byTable} />
      {trouble && <Alert>{trouble}</Alert>}
      {rows === 0 ? (
        <p>{WORDS.nothing}</p>
      ) : (
        <div className={styles.line}>
          <Button disabled={busy} onClick={() => run(() => take(looked.id), onTaken)}>
            {takeText(rows)}
          </Button>
        </div>
      )}
    </>
  );
}
