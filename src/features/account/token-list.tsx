'use client';
import { Alert, Button, Checkbox, Table, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { API_SCOPES } from '@/core/account/api-scope';
import type { SaveResult } from '@/contract/save-result';
import type { TokenView } from '@/contract/views/account';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { API_TOKENS as WORDS, SCOPE_TEXT } from '@/messages/api';
import styles from '@/features/shell/lists.module.css';

interface Props {
  readonly tokens: readonly TokenView[];
  readonly make: (typed: unknown) => Promise<SaveResult<string>>;
  readonly end: (id: string) => Promise<SaveResult>;
}

/** A token for one more program, shown once. */
function NewToken({ make }: Pick<Props, 'make'>) {
  const router = useRouter();
  const [token, setToken] = useState<string | null>(null);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { name: '', scopes: [] as string[] },
    () => [],
    async (values): Promise<SaveResult> => {
      const made = await make(values);
      if (!made.ok) return { ok: false, issues: made.issues };
      setToken(made.kept ?? null);
      return { ok: true, id: made.id };
    },
    (_, reset) => {
      reset();
      router.refresh();
    },
  );
  return (
    <SheetForm className={styles.narrow} onSubmit={onSubmit} onChange={() => setToken(null)}>
      <TextInput label={WORDS.name} autoComplete="off" {...form.getInputProps('name')} />
      <Checkbox.Group label={WORDS.scopes} {...form.getInputProps('scopes')}>
        {API_SCOPES.map((s) => (
          <Checkbox key={s} value={s} label={SCOPE_TEXT[s]} size="lg" className={styles.tick} />
        ))}
      </Checkbox.Group>
      <SaveRow outlined label={WORDS.make} busy={busy} said={null} trouble={trouble} />
      {token && (
        <Alert role="status">
          {WORDS.made}
          <TextInput readOnly label={WORDS.token} value={token} onFocus={(e) => e.currentTarget.select()} />
        </Alert>
      )}
    </SheetForm>
  );
}

/** Programs that act as this account, each ended with a press; and one more. */
export function TokenList({ tokens, make, end }: Props) {
  const { busy, trouble, run } = useDeed();
  return (
    <>
      <p>{WORDS.text}</p>
      {trouble && <Alert>{trouble}</Alert>}
      {tokens.length === 0 ? (
        <p className={styles.quiet}>{WORDS.none}</p>
      ) : (
        <Table>
          <Table.Tbody>
            {tokens.map((t) => (
              <Table.Tr key={t.id}>
                <Table.Td>
                  <b>{t.name}</b>
                  <br />
                  {t.facts}
                </Table.Td>
                <Table.Td>
                  <Button
                    variant="outline"
                    disabled={busy}
                    aria-label={WORDS.endName(t.name)}
                    onClick={() => run(() => end(t.id))}
                  >
                    {WORDS.end}
                  </Button>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <NewToken make={make} />
    </>
  );
}
