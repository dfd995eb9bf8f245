/**
 * The standard observer and daylight, 400–700 nm in steps of 10 nm.
 * Colour-matching functions of the CIE 1931 2° observer and relative power of illuminant D65
 * [published: CIE 018:2019 / ISO/CIE 11664-1 and -2]; checked in the tests against the D65 white point.
 */
export const BANDS_NM: readonly number[] = Array.from({ length: 31 }, (_unused, index) => 400 + index * 10);

const X_BAR = [
  0.01431, 0.04351, 0.13438, 0.2839, 0.34828, 0.3362, 0.2908, 0.19536, 0.09564, 0.03201, 0.0049, 0.0093, 0.06327, 0.1655, 0.2904, 0.43345, 0.5945, 0.7621,
  0.9163, 1.0263, 1.0622, 1.0026, 0.85445, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874, 0.04677, 0.0227, 0.01136,
];
const Y_BAR = [
  0.000396, 0.00121, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.09098, 0.13902, 0.20802, 0.323, 0.503, 0.71, 0.862, 0.954, 0.99495, 0.995, 0.952, 0.87, 0.757, 0.631,
  0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017, 0.00821, 0.004102,
];
const Z_BAR = [
  0.06785, 0.2074, 0.6456, 1.3856, 1.74706, 1.77211, 1.6692, 1.28764, 0.81295, 0.46518, 0.272, 0.1582, 0.07825, 0.04216, 0.0203, 0.00875, 0.0039, 0.0021,
  0.00165, 0.0011, 0.0008, 0.00034, 0.00019, 0.00005, 0.00002, 0, 0, 0, 0, 0, 0,
];
const D65 = [
  82.75, 91.49, 93.43, 86.68, 104.86, 117.01, 117.81, 114.86, 115.92, 108.81, 109.35, 107.8, 104.79, 107.69, 104.41, 104.05, 100, 96.33, 95.79, 88.69, 90.01,
  89.6, 87.7, 83.29, 83.7, 80.03, 80.21, 82.28, 78.28, 69.72, 71.61,
];

const luminance = D65.reduce((sum, power, band) => sum + power * Y_BAR[band]!, 0);

/** Weights that turn a reflectance into X, Y and Z under daylight; white has Y = 1. */
export const WEIGHTS: readonly (readonly number[])[] = [X_BAR, Y_BAR, Z_BAR].map((curve) => curve.map((value, band) => (value * D65[band]!) / luminance));

/** X, Y, Z of a perfect white by these tables. */
export const WHITE: readonly number[] = WEIGHTS.map((weights) => weights.reduce((sum, weight) => sum + weight, 0));
