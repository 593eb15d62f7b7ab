import type { ScreeningView } from '@/contract/views/client';
import { Link } from '@/features/shell/link';
import { screeningText } from '@/messages/notes';
import { WORDS } from '@/messages/screens/shell';
import forms from './forms.module.css';

/** A missing or old screening, plainly, wherever loading is near; it stays until one is entered. */
export function ScreeningWarning({
  screening,
  clientId,
}: {
  readonly screening: ScreeningView;
  readonly clientId: string;
}) {
  const text = screeningText(screening.state);
  if (text === null) return null;
  return (
    <p className={forms.warning} data-testid="screening-warning">
      {text} <Link href={`/clients/${clientId}#screening`}>{WORDS.enterIt}</Link>
    </p>
  );
}
