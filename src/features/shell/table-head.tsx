import { Table } from '@mantine/core';

/** The head of a table: a word over each column. */
export const TableHead = ({ words }: { readonly words: readonly string[] }) => (
  <Table.Thead>
    <Table.Tr>
      {words.map((w) => (
        <Table.Th key={w}>{w}</Table.Th>
      ))}
    </Table.Tr>
  </Table.Thead>
);
