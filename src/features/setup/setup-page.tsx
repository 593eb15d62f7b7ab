'use client';
import { Alert } from '@mantine/core';
import { useMemo, type ReactNode } from 'react';
import type { CaseInput } from '@/contract/case';
import { movementName } from '@/messages/book';
import type { SetupBenchView } from '@/contract/views/setup';
import { FitBench } from './fit-bench';
import { openCase } from './opened-case';
import { SetupBench } from './setup-bench';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  readonly setupCase: CaseInput;
  readonly bench: SetupBenchView;
  readonly measureLink: ReactNode;
  readonly kitLink: ReactNode;
}

/** The bench for a case that holds; for one that does not, what is wrong and where to mend it. */
export function SetupPage({ setupCase, bench: context, measureLink, kitLink }: Props) {
  const opened = useMemo(() => openCase(setupCase, context.practices), [setupCase, context.practices]);
  if (opened.ok)
    return opened.question.entry.load.kind === 'cable' ? (
      <SetupBench context={context} question={opened.question} />
    ) : (
      <FitBench context={context} question={opened.question} />
    );
  const title = `${context.client.name}: ${movementName(context.item.movement)}`;
  return (
    <div className="page">
      <h1>{title}</h1>
      <Alert className={styles.blocked}>
        <p>{WORDS.thisCannotBeSetUp(context.station ? WORDS.onStation(context.station.name) : '')}</p>
        <ul>
          {opened.issues.map((i) => (
            <li key={i.path}>
              {i.path}: {i.message}
            </li>
          ))}
        </ul>
        <p>
          {WORDS.mendItInThe} {measureLink} {WORDS.orUnder} {kitLink}.
        </p>
      </Alert>
    </div>
  );
}
