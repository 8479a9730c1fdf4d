/** HTTP in, JSON out. */
package calmpour.app.api;
