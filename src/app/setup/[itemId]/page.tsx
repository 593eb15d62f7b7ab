import type { Metadata } from 'next';
import { Link } from '@/features/shell/link';
import { itemTitle } from '@/server/titles';
import { notFound } from 'next/navigation';
import { SetupPage } from '@/features/setup/setup-page';
import { loadSetup } from '@/server/setup';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/pages';
import { readAsked, type Asked } from '../../asked';

/** What the page is called: whose, and which place. */
export async function generateMetadata({
  params,
}: {
  readonly params: Promise<{ itemId: string }>;
}): Promise<Metadata> {
  return { title: itemTitle(await openUseCase(), (await params).itemId, WORDS.setUp) };
}

export default async function SetupRoute({
  params,
  searchParams,
}: {
  readonly params: Promise<{ itemId: string }>;
  readonly searchParams: Asked;
}) {
  const { itemId } = await params;
  const { station } = await readAsked(searchParams);
  const loaded = loadSetup(await openUseCase(), itemId, station);
  if (!loaded) notFound();
  const { setupCase, bench } = loaded;
  return (
    <SetupPage
      key={`${bench.item.id} ${bench.station?.id}`}
      setupCase={setupCase}
      bench={bench}
      measureLink={<Link href={`/clients/${bench.client.id}`}>{WORDS.clientSheet}</Link>}
      kitLink={<Link href={bench.station ? `/kit/${bench.station.id}` : '/kit'}>{WORDS.kit}</Link>}
    />
  );
}
