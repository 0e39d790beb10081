export { reckon, type Reckoning } from './reckon';
export { noticesOf, STYLE_BANDS, type Notice } from './notices';
