import Link from 'next/link';

export default function NotFound() {
  return (
    <div className="page">
      <h1>Nothing on this sheet</h1>
      <p>
        There is no client, movement or column under this address; it may have been on another database.{' '}
        <Link href="/">Back to the floor</Link>
      </p>
    </div>
  );
}
