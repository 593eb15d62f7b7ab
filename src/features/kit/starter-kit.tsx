'use client';
import { Alert, Button, Checkbox } from '@mantine/core';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { SaveResult } from '@/contract/save-result';
import { STARTER_KIT, starterSpec, type StarterPiece } from '@/contract/starter-kit';
import type { KitKind } from '@/core/kit/kit-kind';
import forms from '@/features/shell/forms.module.css';
import lists from '@/features/shell/lists.module.css';
import { useDeed } from '@/features/shell/use-deed';
import { KIT_NAME, STARTER_NAME } from '@/messages/kit';
import { WORDS } from '@/messages/screens/kit';

const kindOf = (p: StarterPiece): KitKind => starterSpec(p, 'metric').kind;
const GROUPS = [
  { name: KIT_NAME.attachment.many, pieces: STARTER_KIT.filter((p) => kindOf(p) === 'attachment') },
  { name: KIT_NAME.bench.many, pieces: STARTER_KIT.filter((p) => kindOf(p) === 'bench') },
  { name: WORDS.weights, pieces: STARTER_KIT.filter((p) => !['attachment', 'bench'].includes(kindOf(p))) },
];

/** Kit that most gyms have, by kind, to be ticked and added at once with its usual sizes. `names`: what is there. */
export function StarterKit({
  names,
  add,
  open,
}: {
  readonly names: readonly string[];
  readonly add: (typed: unknown, key: string) => Promise<SaveResult>;
  readonly open: boolean;
}) {
  const { busy, trouble, run } = useDeed();
  // What is added does not close it.
  const [opened] = useState(open);
  const [ticked, setTicked] = useState<string[]>([]);
  const [key, setKey] = useState<string | null>(null);
  const isThere = (p: StarterPiece): boolean => names.some((n) => n.toLowerCase() === STARTER_NAME[p].toLowerCase());
  const press = (): void => {
    const own = key ?? newId();
    setKey(own);
    run(
      () => add({ pieces: ticked }, own),
      () => {
        setTicked([]);
        setKey(null);
      },
    );
  };
  return (
    <details className={forms.fold} open={opened || undefined}>
      <summary>{WORDS.commonKit}</summary>
      <p>{WORDS.commonKitText}</p>
      {GROUPS.map(({ name, pieces }) => (
        <Checkbox.Group key={name} label={name} value={ticked} onChange={setTicked}>
          <div className={lists.line}>
            {pieces.map((p) => (
              <Checkbox
                key={p}
                value={p}
                label={
                  isThere(p) ? <span className={lists.quiet}>{WORDS.isThere(STARTER_NAME[p])}</span> : STARTER_NAME[p]
                }
                disabled={isThere(p)}
              />
            ))}
          </div>
        </Checkbox.Group>
      ))}
      {trouble && <Alert>{trouble}</Alert>}
      <div className={lists.line}>
        <Button disabled={busy || ticked.length === 0} onClick={press}>
          {WORDS.addPieces(ticked.length)}
        </Button>
      </div>
    </details>
  );
}
