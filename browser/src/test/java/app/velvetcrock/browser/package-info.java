/**
 * Journeys of people through the packaged application in a real browser.
 */
package app.velvetcrock.browser;
