import { expose } from 'comlink';
import { answerDays, helps, rushPlaces, tryOrder, type DaysAnswer, type DaysAsked } from '@/core/schedule/answer';
import type { Order } from '@/core/schedule/job';

/** Orders of runs off the page's own thread. To cancel, whoever asked ends the worker. */
class Days {
  answer(asked: DaysAsked, anew: boolean, onRound: (round: number) => void) {
    return answerDays(asked, { anew, onRound });
  }
  try(asked: DaysAsked, order: Order) {
    return tryOrder(asked, order);
  }
  rush(asked: DaysAsked, order: Order, run: number) {
    return rushPlaces(asked, order, run);
  }
  helps(asked: DaysAsked, now: DaysAnswer) {
    return helps(asked, now);
  }
}

export type DaysApi = Days;

expose(new Days());
