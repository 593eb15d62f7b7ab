/** What stands behind the question mark of an address: a name may be there once, often or not at all. */
export type Asked = Promise<Readonly<Record<string, string | readonly string[] | undefined>>>;

/** The first of what stands under each name; undefined where it is not there. */
export async function readAsked(asked: Asked): Promise<Readonly<Record<string, string | undefined>>> {
  const first = (v: string | readonly string[] | undefined): string | undefined => (typeof v === 'string' ? v : v?.[0]);
  return Object.fromEntries(Object.entries(await asked).map(([name, value]) => [name, first(value)]));
}
