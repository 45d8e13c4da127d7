import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/**
 * Shipped with the application: what is printed looks alike everywhere. Plain files, since inflating packed ones takes
 * seconds.
 */
export const FONT_FILES = {
  words: require.resolve('@expo-google-fonts/schibsted-grotesk/400Regular/SchibstedGrotesk_400Regular.ttf'),
  bold: require.resolve('@expo-google-fonts/schibsted-grotesk/700Bold/SchibstedGrotesk_700Bold.ttf'),
  readings: require.resolve('@expo-google-fonts/spline-sans-mono/400Regular/SplineSansMono_400Regular.ttf'),
  strong: require.resolve('@expo-google-fonts/spline-sans-mono/600SemiBold/SplineSansMono_600SemiBold.ttf'),
} as const;
export type FontName = keyof typeof FONT_FILES;
