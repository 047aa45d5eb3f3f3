/** What a trainee's attempts say together (handbook 7, Progress). */
package lobrik.progress;
