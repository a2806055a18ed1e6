import type { Forecast } from '../decision-file/forecast-schema';

/**
 * The quantities that a scale multiplies (decision file §2): orders, sales and subscribers, and drivers that are
 * `per` one of these; other drivers stay.
 */
export function scaledQuantities({ drivers = {} }: Forecast): ReadonlySet<string> {
  const builtIn = ['orders', 'sales', ...('subscribers' in drivers ? [] : ['subscribers'])];
  const scaled = new Set(builtIn);
  for (const [id, driver] of Object.entries(drivers)) {
    if (typeof driver !== 'object' || !('per' in driver)) continue;
    const ofStreams = driver.per === 'subscribers' && driver.streams !== undefined;
    if (ofStreams || builtIn.includes(driver.per)) scaled.add(id);
  }
  return scaled;
}
