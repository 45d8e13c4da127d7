import { RecoveryCodeModel } from './recovery-code.model.js';
import { SecondFactorModel } from './second-factor.model.js';

/** Asks somebody for his password alone from now on, in the transaction of whoever asks. */
export async function forgetSecondFactor(personId: number): Promise<void> {
  await SecondFactorModel.destroy({ where: { personId } });
  await RecoveryCodeModel.destroy({ where: { personId } });
}
