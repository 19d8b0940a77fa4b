export { effectFigures, offersFor, sayEffect, type Effect, type Offer } from './offer.js';
