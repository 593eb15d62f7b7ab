import 'server-only';

/** So long the door may take to let go, milliseconds. */
const PATIENCE_MS = 5000;

const isPages = (): boolean => process.env.JORVIX_PAGES !== undefined && process.send !== undefined;

/** Resolves when the door has let go; rejects where it says nothing in time. */
const hasLetGo = (): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(() => {
      process.off('message', listen);
      reject(new Error('The door did not let go of the records.'));
    }, PATIENCE_MS);
    const listen = (message: unknown): void => {
      if ((message as { says?: unknown }).says !== 'let-go') return;
      clearTimeout(timer);
      process.off('message', listen);
      resolve();
    };
    process.on('message', listen);
  });

/** Have the door's process (scripts/serve-app.mjs) close the records too while they are replaced; it takes no tap. */
export async function whileLetGo<T>(does: () => T): Promise<T> {
  if (!isPages()) return does();
  const gone = hasLetGo();
  process.send?.({ says: 'let-go' });
  try {
    await gone;
    return does();
  } finally {
    process.send?.({ says: 'take-up' });
  }
}
