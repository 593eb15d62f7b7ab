'use client';
import { useMemo, type ReactNode } from 'react';
import type { CaseInput } from '@/contract/case';
import { MOVEMENT_NAME } from '@/messages/movements';
import type { BenchContext } from './bench-context';
import { SetupBench } from './setup-bench';
import { checkCase } from './use-setup';
import styles from './setup.module.css';

interface Props {
  readonly setupCase: CaseInput;
  readonly context: BenchContext;
  readonly measureLink: ReactNode;
  readonly kitLink: ReactNode;
}

/** The bench for a case that holds; for one that does not, what is wrong and where to mend it. */
export function SetupPage({ setupCase, context, measureLink, kitLink }: Props) {
  const checked = useMemo(() => checkCase(setupCase), [setupCase]);
  const title = `${context.client.name}: ${MOVEMENT_NAME[context.item.movement]}`;
  return (
    checked.ok ? (
        <SetupBench context={context} input={checked.input} />
      ) : (
        <div className="page">
          <h1>{title}</h1>
          <div className={styles.blocked} role="alert">
            <p>
              This cannot be set up on {context.station.name} yet:
            </p>
            <ul>
              {checked.issues.map((i) => (
                <li key={i.path}>
                  {i.path}: {i.message}
                </li>
              ))}
            </ul>
            <p>
              Mend it in the {measureLink} or under {kitLink}.
            </p>
          </div>
        </div>
      )
  );
}
