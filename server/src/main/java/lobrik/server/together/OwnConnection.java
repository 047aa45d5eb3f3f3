package lobrik.server.together;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Connections to the record beside the pool: for what must not wait for one, or keeps one for as long as it lasts. */
@Component
public class OwnConnection {

    private final String url;
    private final String user;
    private final String password;

    public OwnConnection(
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.url = url;
        this.user = user;
        this.password = password;
    }

    /**
     * Opens one.
     *
     * @param name that the database knows it by
     */
    Connection open(String name) throws SQLException {
        return DriverManager.getConnection(url, login(name));
    }

    /**
     * One that gives up.
     *
     * @param patienceSeconds for being connected, and for each answer
     */
    public Connection open(String name, int patienceSeconds) throws SQLException {
        Properties login = login(name);
        for (String wait : new String[] {"connectTimeout", "loginTimeout", "socketTimeout"}) {
            login.setProperty(wait, String.valueOf(patienceSeconds));
        }
        return DriverManager.getConnection(url, login);
    }

    private Properties login(String name) {
        Properties login = new Properties();
        login.setProperty("user", user);
        login.setProperty("password", password);
        login.setProperty("tcpKeepAlive", "true");
        login.setProperty("ApplicationName", name);
        return login;
    }
}
