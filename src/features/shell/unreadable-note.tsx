import type { UnreadableRow } from '@/contract/records/record';
import { unreadableText } from '@/messages/unreadable';
import forms from './forms.module.css';

/** Kept rows that this program cannot read, named: they are left out of what is shown, and wait in the database. */
export function UnreadableNote({ rows }: { readonly rows: readonly UnreadableRow[] }) {
  if (rows.length === 0) return null;
  return (
    <details className={forms.warning} data-testid="unreadable">
      <summary>{unreadableText(rows.length)}</summary>
      <ul>
        {rows.map((r) => (
          <li key={`${r.table}-${r.id}`}>
            {r.name} ({r.id}): {r.issues.map((i) => `${i.path || 'record'}: ${i.message}`).join('; ')}
          </li>
        ))}
      </ul>
    </details>
  );
}
