import { benchBrowser } from './browser';
import { benchDrift } from './drift';
import { benchFloorLoad } from './floor-load';
import { benchLarge } from './large';

async function main(): Promise<void> {
  if (process.argv.includes('--drift')) return benchDrift();
  if (process.argv.includes('--large')) return benchLarge();
  if (!process.argv.includes('--no-floor')) await benchFloorLoad();
  if (!process.argv.includes('--no-browser')) await benchBrowser();
}
void main();
