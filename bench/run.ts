import { benchBrowser } from './browser';
import { benchDrift } from './drift';
import { benchFloorLoad } from './floor-load';
import { benchGyms } from './gyms';
import { benchLarge } from './large';
import { benchRecords } from './records';

async function main(): Promise<void> {
  if (process.argv.includes('--drift')) return benchDrift();
  if (process.argv.includes('--large')) return benchLarge();
  if (process.argv.includes('--gyms')) return benchGyms();
  if (process.argv.includes('--records')) return benchRecords();
  if (!process.argv.includes('--no-floor')) await benchFloorLoad();
  if (!process.argv.includes('--no-browser')) await benchBrowser();
}
void main();
