import Joi from 'joi';
import { andThen, good, refuse, type Result } from '../model/result';
import { checkShape } from '../read/problems';

const name = () => Joi.string().trim().min(1).max(60).required();

const nameSchema = Joi.object<{ name: string }>({ name: name() }).required();

/** Reads the name of a device that is to get a key. */
export const readDeviceName = (value: unknown): Result<string> =>
  andThen(checkShape(nameSchema, value), (file) => good(file.name));

/** The shortest passcode taken, signs. */
const SHORTEST = 8;

const passcodeSchema = Joi.object<{ passcode: string }>({ passcode: Joi.string().max(200).required() }).required();

/** Reads a new passcode of the shop. */
export const readPasscode = (value: unknown): Result<string> =>
  andThen(checkShape(passcodeSchema, value), ({ passcode }) =>
    passcode.trim().length < SHORTEST
      ? refuse(
          'passcode',
          `is too short: ${SHORTEST} signs or more; a few words that belong to nothing are easily typed`,
        )
      : good(passcode),
  );

/** What a device says when it comes in over the network. */
export interface SignIn {
  passcode: string;
  device: string;
}

const signInSchema = Joi.object<SignIn>({ passcode: Joi.string().max(200).required(), device: name() }).required();

/** Reads it. */
export const readSignIn = (value: unknown): Result<SignIn> => checkShape(signInSchema, value);
