export { aimOf, effectsOf, offersFor, sayEffect, type Effect, type Offer } from './offer.js';
