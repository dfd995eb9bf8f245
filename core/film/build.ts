/**
 * Dry film a coat leaves, µm: DFT = WFT × VS / (100 + t). A brush lays a roughly constant wet film, whatever the thinning.
 * Volume solids as ISO 3233 and terms as ISO 4618 [published]; the constant wet film is common practice.
 *
 * @param wetMicrons wet film, µm, 0 or more
 * @param volumeSolidsPercent 0–100
 * @param thinnerPercent thinner as per cent of the paint's volume, 0 or more
 * @example dryMicrons(75, 35, 0) // 26.25
 */
export function dryMicrons(wetMicrons: number, volumeSolidsPercent: number, thinnerPercent = 0): number {
  return (wetMicrons * volumeSolidsPercent) / (100 + thinnerPercent);
}

/**
 * Practical spreading rate, m² a litre: 10 × VS % / DFT × (1 − loss).
 *
 * @param loss share lost in brush and palette, 0–1
 * @example spreadingRate(35, 26.25, 0).toFixed(1) // "13.3"
 */
export function spreadingRate(volumeSolidsPercent: number, dryMicronsPerCoat: number, loss = 0): number {
  return ((10 * volumeSolidsPercent) / dryMicronsPerCoat) * (1 - loss);
}
