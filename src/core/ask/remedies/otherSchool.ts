import { houseQuestions } from '../../model/shop/houseRules';
import type { RemedyKind } from './remedy';

/** Another answer to one of the questions of the house, for this run. */
export const otherSchool: RemedyKind = ({ rules }, { houseRules }) =>
  houseQuestions.flatMap(({ rule, question, schools }) =>
    schools
      .filter(({ value }) => value !== (rules?.[rule] ?? houseRules[rule]))
      .map(({ value, label }) => ({
        path: `rules.${rule}`,
        value,
        words: `${question} For this run: ${label}`,
      })),
  );
