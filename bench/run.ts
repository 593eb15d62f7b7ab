import { benchBrowser } from './browser';
import { benchSolver } from './solver';

async function main(): Promise<void> {
  benchSolver();
  if (!process.argv.includes('--no-browser')) await benchBrowser();
}
void main();
