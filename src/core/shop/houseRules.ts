import type { HouseRules } from './shop';

/** One school of a question, and why it does as it does. */
export interface School {
  value: string;
  label: string;
  because: string;
}

/** A question on which good shops differ (handbook 12): both schools, both reasons. */
export interface HouseQuestion {
  rule: keyof HouseRules;
  question: string;
  schools: School[];
}

/** The questions that the planner asks the house. A new one is one more entry, its setting in `HouseRules`. */
export const houseQuestions: readonly HouseQuestion[] = [
  {
    rule: 'centreDrill',
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
    question: 'How far may work stand out without a centre?',
    schools: [
      {
        value: '1.5d',
        label: '1.5 × its diameter',
        because: 'For beginners and heavy cuts: nothing bends, nothing chatters.',
      },
      {
        value: '4d',
        label: '4 × its diameter',
        because: 'For light cuts in practised hands: one holding less, no centre hole.',
      },
    ],
  },
];
