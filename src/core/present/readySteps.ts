import type { PlannedSetup } from '../plan/times/planTimes';
import { settingSheet, type SettingStep } from './settingSheet';

/** A step of making ready with the name that it is ticked under in the log. */
export interface ReadyStep extends SettingStep {
  name: string;
}

/** The longest name that the log keeps. */
const LONGEST = 200;

/** The steps of setting the machine for a set-up, as they are ticked. */
export const readySteps = (planned: PlannedSetup): ReadyStep[] =>
  settingSheet(planned).map((step) => ({
    ...step,
    name: [planned.setup.number, step.tool, step.what, step.over, step.text]
      .filter(Boolean)
      .join(' ')
      .slice(0, LONGEST),
  }));
