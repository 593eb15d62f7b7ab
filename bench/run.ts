import { benchBrowser } from './browser';
import { benchProfile, benchSolver } from './solver';

async function main(): Promise<void> {
  benchProfile();
  benchSolver();
  if (!process.argv.includes('--no-browser')) await benchBrowser();
}
void main();
