import { Link } from '@/features/shell/link';
import { WORDS } from '@/messages/screens/pages';

export default function NotFound() {
  return (
    <div className="page">
      <h1>{WORDS.nothingOnThisSheet}</h1>
      <p>
        {WORDS.thereIsNoClientMovement} <Link href="/">{WORDS.backToTheFloor}</Link>
      </p>
    </div>
  );
}
