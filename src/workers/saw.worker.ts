import './saidAsPage';
import { expose } from 'comlink';
import loadHighs from 'highs';
import type { Result } from '@/core/model/result';
import type { CutList, Cuts } from '@/core/saw/cutList';
import { limitsWithin, solveCuts, type SawProgress } from '@/core/saw/solveCuts';

/** Seconds for a list. */
const SECONDS = 1.8;

/** Cut lists off the page's own thread. To cancel, whoever asked ends the worker. */
class Saw {
  private highs = loadHighs({ locateFile: () => new URL('highs/runtime', import.meta.url).href });

  async solve(list: CutList, onProgress: (progress: SawProgress) => void): Promise<Result<Cuts>> {
    const highs = await this.highs;
    return solveCuts(
      list,
      highs,
      onProgress,
      limitsWithin(SECONDS, () => performance.now()),
    );
  }
}

export type SawApi = Saw;

expose(new Saw());
