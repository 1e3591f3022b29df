import './saidAsPage';
import { expose } from 'comlink';
import { answerDays, rushPlaces, tryOrder, type DaysAnswer, type DaysAsked } from '@/core/schedule/answer';
import { deliveryOf } from '@/core/schedule/delivery';
import { endangers } from '@/core/schedule/endangers';
import { helps } from '@/core/schedule/helps';
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
  endangers(asked: DaysAsked, order: Order, run: number) {
    return endangers(asked, order, run);
  }
  delivery(asked: DaysAsked, run: number) {
    return deliveryOf(asked, run);
  }
  helps(asked: DaysAsked, now: DaysAnswer) {
    return helps(asked, now);
  }
}

export type DaysApi = Days;

expose(new Days());
