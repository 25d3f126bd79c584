import { encode } from 'uqr'

/** The dark modules of a QR code for a text, as one path for a square of so many units. */
export function qrPath(text: string): { path: string; size: number } {
  const { data, size } = encode(text)
  const path = data
    .flatMap((row, y) => row.map((dark, x) => (dark ? `M${x} ${y}h1v1h-1z` : '')))
    .join('')
  return { path, size }
}
