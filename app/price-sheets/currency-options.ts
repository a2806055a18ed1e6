import { currencyCodes } from '#core/amount/currencies';

/** Every currency a price can be stated in, for choosing. */
export const CURRENCY_OPTIONS = currencyCodes.map((code) => ({ value: code, label: code }));
