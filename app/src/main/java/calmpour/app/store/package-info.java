/** What is kept: shelves and sessions, in H2 through jOOQ. */
package calmpour.app.store;
