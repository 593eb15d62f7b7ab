'use client';
import { NativeSelect, Table } from '@mantine/core';
import { DAY_ORDERS, NEEDED_FIELDS, SHEET_FIELDS, SHEET_KINDS, type SheetField } from '@/core/record/spreadsheet';
import { LOAD_UNITS } from '@/core/units/mass';
import type { FieldIssue } from '@/contract/field';
import type { SheetReading } from '@/contract/spreadsheet-form';
import type { SheetChoices, SheetView } from '@/contract/views/records';
import forms from '@/features/shell/forms.module.css';
import { TableHead } from '@/features/shell/table-head';
import { DAY_ORDER_NAME, SHEET_FIELD_NAME, SHEET_KIND_NAME, SHEETS as WORDS } from '@/messages/spreadsheet';
import styles from './spreadsheet.module.css';

/** The first rows of a sheet, as they stand there. */
function Sample({ sheet }: { readonly sheet: SheetView }) {
  const { headers, sample } = sheet;
  return (
    <Table.ScrollContainer minWidth={110 * headers.length} className={styles.sample}>
      <Table aria-label={WORDS.first}>
        <TableHead words={headers} />
        <Table.Tbody>
          {sample.map((row, k) => (
            <Table.Tr key={k}>
              {headers.map((_, at) => (
                <Table.Td key={at}>{row[at] ?? ''}</Table.Td>
              ))}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Table.ScrollContainer>
  );
}

const optionsOf = (of: readonly { readonly id: string; readonly name: string }[]) =>
  of.map(({ id, name }) => ({ value: id, label: name }));

interface Props {
  readonly sheet: SheetView;
  readonly reading: SheetReading;
  readonly choices: SheetChoices;
  readonly issues: readonly FieldIssue[];
  readonly onChange: (to: SheetReading) => void;
}

const errorAt = (issues: readonly FieldIssue[], path: string): string | undefined =>
  issues.find((i) => i.path === path)?.message;

/** What past sets need to be told beside their columns: whose they are, how days are written, where they were done. */
function OfSets({ reading, choices, issues, onChange }: Omit<Props, 'sheet'>) {
  return (
    <>
      {reading.columns.client === undefined && (
        <NativeSelect
          label={WORDS.whose}
          value={reading.clientId}
          onChange={(e) => onChange({ ...reading, clientId: e.target.value })}
          data={[{ value: '', label: WORDS.byColumn }, ...optionsOf(choices.clients)]}
          error={errorAt(issues, 'client')}
        />
      )}
      <NativeSelect
        label={WORDS.dayOrder}
        value={reading.dayOrder}
        onChange={(e) => onChange({ ...reading, dayOrder: DAY_ORDERS.find((o) => o === e.target.value)! })}
        data={DAY_ORDERS.map((o) => ({ value: o, label: DAY_ORDER_NAME[o] }))}
      />
      <NativeSelect
        label={WORDS.gym}
        value={reading.gymId}
        onChange={(e) => onChange({ ...reading, gymId: e.target.value })}
        data={optionsOf(choices.gyms)}
        error={errorAt(issues, 'gymId')}
      />
    </>
  );
}

/** What each column of a sheet is, and how its days and loads are written. */
export function SheetColumns({ sheet, reading, choices, issues, onChange }: Props) {
  const { kind, columns } = reading;
  const set = (field: SheetField, at: string): void => {
    const others = Object.fromEntries(Object.entries(columns).filter(([f]) => f !== field));
    onChange({ ...reading, columns: at === '' ? others : { ...others, [field]: Number(at) } });
  };
  const headers = sheet.headers.map((h, k) => ({ value: String(k), label: h }));
  return (
    <>
      <Sample sheet={sheet} />
      <div className={forms.grid}>
        <NativeSelect
          label={WORDS.rows}
          value={kind}
          onChange={(e) => onChange(sheet.readings[SHEET_KINDS.find((k) => k === e.target.value)!])}
          data={SHEET_KINDS.map((k) => ({ value: k, label: SHEET_KIND_NAME[k] }))}
        />
        {SHEET_FIELDS[kind].map((field) => (
          <NativeSelect
            key={field}
            label={SHEET_FIELD_NAME[field]}
            withAsterisk={NEEDED_FIELDS[kind].includes(field)}
            value={columns[field] === undefined ? '' : String(columns[field])}
            onChange={(e) => set(field, e.target.value)}
            data={[{ value: '', label: WORDS.none }, ...headers]}
            error={errorAt(issues, field)}
          />
        ))}
        <NativeSelect
          label={WORDS.unit}
          value={reading.unit}
          onChange={(e) => onChange({ ...reading, unit: LOAD_UNITS.find((u) => u === e.target.value)! })}
          data={LOAD_UNITS.map((u) => ({ value: u, label: WORDS.units[u] }))}
        />
        {kind === 'sets' && <OfSets {...{ reading, choices, issues, onChange }} />}
      </div>
    </>
  );
}
