/**
 * Whose page this is and of which database, as it was drawn: a page that the browser kept says whose it was then. Empty
 * where nobody is signed in.
 */
export const whoIsHere = (): { readonly accountId: string; readonly databaseId: string } => {
  const { account = '', database = '' } = document.documentElement.dataset;
  return { accountId: account, databaseId: database };
};

/** Pages of clients that this device keeps for when there is no network: gone, unlike taps that are not sent yet. */
export async function forgetPages(): Promise<void> {
  if (typeof caches === 'undefined') return;
  await Promise.all(['pages', 'parts'].map((name) => caches.delete(name)));
}
