import { benchBrowser } from './browser';
import { benchBook, benchProfile, benchSolver } from './solver';

async function main(): Promise<void> {
  benchProfile();
  benchSolver();
  benchBook();
  if (!process.argv.includes('--no-browser')) await benchBrowser();
}
void main();
