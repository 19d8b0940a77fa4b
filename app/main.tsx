import './shared/base.css';
import './room/room.css';
import './shared/pages.css';
import './board/drawing.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.js';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
