/** One school of a question, and why it does as it does. */
export interface School {
  value: string;
  label: string;
  because: string;
}

/** A question on which good shops differ (trade: Schools): both schools, both reasons. */
export interface HouseQuestion {
  rule: string;
  /** The school that a new shop begins with. */
  start: string;
  question: string;
  schools: readonly School[];
}

const questions = [
  {
    rule: 'centreDrill',
    start: 'always',
    question: 'A centre before every drill?',
    schools: [
      { value: 'always', label: 'always', because: 'Short and stiff: the drill starts true.' },
      {
        value: 'slender-only',
        label: 'only slender drills',
        because: 'Production: a stout drill goes straight in, and a bore or a reamer makes it true.',
      },
    ],
  },
  {
    rule: 'pilot',
    start: 'tough-over-12',
    question: 'A pilot before a large drill in tough material?',
    schools: [
      {
        value: 'tough-over-12',
        label: 'yes',
        because: 'The web of a large drill does not cut: the pilot takes its thrust away.',
      },
      {
        value: 'never',
        label: 'one size straight through',
        because: 'Fewer changes of tool, where the tailstock is stiff.',
      },
    ],
  },
  {
    rule: 'stickOut',
    start: '4d',
    question: 'How far may work stand out without a centre?',
    schools: [
      {
        value: '1.5d',
        label: 'one and a half times its diameter',
        because: 'For beginners and heavy cuts: nothing bends, nothing chatters.',
      },
      {
        value: '4d',
        label: 'four times its diameter',
        because: 'For light cuts in practised hands: one holding less, no centre hole.',
      },
    ],
  },
  {
    rule: 'holeFirst',
    start: 'least-changes',
    question: 'The hole first, or the outside?',
    schools: [
      {
        value: 'least-changes',
        label: 'whichever changes tools less',
        because: 'Where both are sound, minutes decide.',
      },
      { value: 'hole', label: 'the hole', because: 'The work is shortest and stiffest before it is turned down.' },
      {
        value: 'outside',
        label: 'the outside',
        because: 'The hole comes last, before the part-off, and its burr goes with it.',
      },
    ],
  },
  {
    rule: 'roughing',
    start: 'all-first',
    question: 'All roughing before any finishing?',
    schools: [
      {
        value: 'all-first',
        label: 'yes',
        because: 'Heat, clamping and thin walls move the work: it settles before the last cuts.',
      },
      {
        value: 'by-feature',
        label: 'finish each as it is reached',
        because: 'Fewer changes, on stiff work that stays cold.',
      },
    ],
  },
  {
    rule: 'reamAllowance',
    start: 'small',
    question: 'How much is left for a reamer?',
    schools: [
      { value: 'small', label: 'little', because: 'Less work for the reamer, and a truer hole.' },
      { value: 'large', label: 'more', because: 'A drill may cut oversize and leave nothing to ream.' },
    ],
  },
  {
    rule: 'batchOrder',
    start: 'piece-by-piece',
    question: 'In which order over the batch?',
    schools: [
      {
        value: 'piece-by-piece',
        label: 'each piece finished',
        because: 'Held once for a set-up: everything in it is true to the rest, and a mistake costs one piece.',
      },
      {
        value: 'op-by-op',
        label: 'one operation for all pieces',
        because: 'Tools, speeds and stops change once for the batch; every piece is loaded and unloaded for each tool.',
      },
    ],
  },
  {
    rule: 'springPass',
    start: 'measured',
    question: 'A last cut again without infeed?',
    schools: [
      {
        value: 'measured',
        label: 'when the work deflects',
        because:
          'The last two cuts are equal and give way alike; where bending takes a third of the limits, it is cut again.',
      },
      { value: 'on-fits', label: 'always on fits', because: 'It takes what the work and the tool gave way.' },
    ],
  },
  {
    rule: 'threadPasses',
    start: 'equal-chip',
    question: 'How is a thread divided into passes?',
    schools: [
      {
        value: 'equal-chip',
        label: 'the same chip each',
        because: 'Deep first, then less: every pass has the same force.',
      },
      {
        value: 'even-depth',
        label: 'the same depth each',
        because: 'One figure on the dial for every pass; the last ones are the heaviest, so it takes more of them.',
      },
    ],
  },
  {
    rule: 'threading',
    start: 'towards',
    question: 'Which way is a thread cut?',
    schools: [
      { value: 'towards', label: 'towards the shoulder', because: 'Spindle forward, tool as it always stands.' },
      {
        value: 'away',
        label: 'away from the chuck',
        because: 'Nothing to run into: it starts in the relief, tool inverted, spindle reversed.',
      },
    ],
  },
  {
    rule: 'nib',
    start: 'face-after',
    question: 'What becomes of the parted face?',
    schools: [
      {
        value: 'face-after',
        label: 'square blade, faced afterwards',
        because: 'A thin blade stays straight; the nib goes in the second holding.',
      },
      {
        value: 'as-parted',
        label: 'bevelled blade, left as parted',
        because: 'The nib stays on the bar, and a plain piece is done in one holding.',
      },
    ],
  },
  {
    rule: 'stock',
    start: 'quicker',
    question: 'From the bar, or from sawn blanks?',
    schools: [
      { value: 'quicker', label: 'whichever is quicker', because: 'Both are planned, and the batch decides.' },
      { value: 'bar', label: 'from the bar', because: 'Start long and part off last: one holding to begin with.' },
      { value: 'blanks', label: 'sawn blanks', because: 'Sawn all at once, short in the chuck, two chuckings anyway.' },
    ],
  },
  {
    rule: 'worth',
    start: 'minutes',
    question: 'Which of two good routes?',
    schools: [
      {
        value: 'minutes',
        label: 'the quicker over the batch',
        because: 'Hours of the machine are what there is least of.',
      },
      {
        value: 'money',
        label: 'the cheaper over the batch',
        because: 'Bars, edges and an order count beside the hours.',
      },
    ],
  },
  {
    rule: 'speed',
    start: 'formula',
    question: 'Which spindle speed?',
    schools: [
      { value: 'formula', label: 'by material and diameter', because: 'The edge lasts, and time is not given away.' },
      {
        value: 'fixed',
        label: 'one for cutting, one for deburring',
        because: 'Nothing to set wrong; the belt stays where it is.',
      },
    ],
  },
  {
    rule: 'lastLength',
    start: 'read-out',
    question: 'How is the last length made sure?',
    schools: [
      { value: 'read-out', label: 'trust the read-out', because: 'Its zero was proved on the first piece.' },
      {
        value: 'measure',
        label: 'measure, then cut',
        because: 'A piece pushed home a hair less is found before the cut.',
      },
    ],
  },
] as const satisfies readonly HouseQuestion[];

type Question = (typeof questions)[number];

/** What a house has answered: the school of each question. */
export type HouseRules = { [Q in Question as Q['rule']]: Q['schools'][number]['value'] };

/** The questions that the planner asks the house. A new one is one more entry: its setting follows from it. */
export const houseQuestions: readonly (HouseQuestion & { rule: keyof HouseRules })[] = questions;

/** What a new shop begins with. */
export const startRules = Object.fromEntries(questions.map(({ rule, start }) => [rule, start])) as HouseRules;
