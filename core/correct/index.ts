export { offersFor, sayEffect, type Offer } from './offer.js';
