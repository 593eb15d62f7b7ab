'use client';
import { IconPrinter } from '@tabler/icons-react';
import type { PaperCode, PaperView } from '@/contract/views/paper';
import { PAPER } from '@/messages/papers';
import styles from './paper.module.css';

interface Props {
  readonly paper: PaperView;
  readonly code: PaperCode;
  /** Where the same is had as a PDF. */
  readonly pdf: string;
}

/** A page to take along: read here, printed, or kept as a PDF. */
export function PaperSheet({ paper, code, pdf }: Props) {
  return (
    <article className={`page ${styles.paper}`}>
      <header>
        <div>
          <h1>{paper.title}</h1>
          <p>{paper.under}</p>
          <div className={styles.ways}>
            <button type="button" onClick={() => window.print()}>
              <IconPrinter stroke={1.5} size={22} aria-hidden /> {PAPER.print}
            </button>
            <a href={pdf} target="_blank" rel="noreferrer">
              {PAPER.asPdf}
            </a>
          </div>
        </div>
        <svg
          className={styles.code}
          viewBox={`-4 -4 ${code.size + 8} ${code.size + 8}`}
          role="img"
          aria-label={PAPER.code}
        >
          <rect x={-4} y={-4} width={code.size + 8} height={code.size + 8} />
          <path d={code.path} />
        </svg>
      </header>
      {paper.parts.map((part) => (
        <section key={part.title}>
          <h2>{part.title}</h2>
          <dl>
            {part.rows.map((row) => (
              <div key={row.name} data-alone={row.lines.length === 0 || undefined}>
                <dt>{row.name}</dt>
                <dd>
                  {row.lines.map((line) => (
                    <p key={line}>{line}</p>
                  ))}
                </dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      <p className={styles.foot}>{paper.foot}</p>
    </article>
  );
}
