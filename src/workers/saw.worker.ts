import { expose } from 'comlink';
import loadHighs from 'highs';
import type { Result } from '@/core/result';
import type { CutList, Cuts } from '@/core/saw/cutList';
import { solveCuts, type SawProgress } from '@/core/saw/solveCuts';

/** Time for the bound, milliseconds; the whole numbers have half as much again. */
const ENOUGH = 1100;

/** Cut lists off the page's own thread. To cancel, whoever asked ends the worker. */
class Saw {
  private highs = loadHighs({ locateFile: () => new URL('highs/runtime', import.meta.url).href });

  async solve(list: CutList, onProgress: (progress: SawProgress) => void): Promise<Result<Cuts>> {
    const highs = await this.highs;
    const end = performance.now() + ENOUGH;
    return solveCuts(list, highs, onProgress, {
      enough: () => performance.now() > end,
      wholeNumberSeconds: ENOUGH / 2000,
    });
  }
}

export type SawApi = Saw;

expose(new Saw());
