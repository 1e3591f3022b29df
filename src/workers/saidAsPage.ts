import type { Mark } from '@/core/model/units/mark';

/** A worker says its figures as the page does that began it, which tells it first of all (ui/device/begun). */
addEventListener('message', ({ data }: MessageEvent<{ decimalMark?: Mark } | undefined>) => {
  const mark = data?.decimalMark;
  if (mark) globalThis.decimalMark = () => mark;
});
