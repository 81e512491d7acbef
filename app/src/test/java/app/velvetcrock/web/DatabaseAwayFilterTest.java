package app.velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.doReturn;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.ServletException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.health.contributor.Status;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.TransactionSystemException;

class DatabaseAwayFilterTest {

    @ParameterizedTest
    @CsvSource({
        "08006,true",
        "08001,true",
        "57P01,true",
        "57P03,true",
        "53300,true",
        "53100,false",
        "23505,false",
        "40001,false"
    })
    void lostConnectionsAreToldFromRefusedStatements(String state, boolean away) {
        Exception wrapped = new IllegalStateException("outer", new RuntimeException(new SQLException("inner", state)));
        assertThat(DatabaseAwayFilter.isDatabaseAway(wrapped)).isEqualTo(away);
    }

    /** A full disk says that nothing was written, health says so too, and takes it back when a write goes through again. */
    @Test
    void aFullDiskIsSaidByThePageAndByHealth() throws Exception {
        JdbcClient sql = mock(JdbcClient.class, RETURNS_DEEP_STUBS);
        LastWrite wrote = new LastWrite(sql, Clock.systemUTC());
        MockHttpServletResponse response = new MockHttpServletResponse();
        new DatabaseAwayFilter(wrote)
                .doFilter(new MockHttpServletRequest("POST", "/shelf"), response, (request, answer) -> {
                    throw new ServletException(
                            new IllegalStateException(new SQLException("could not extend file", "53100")));
                });
        assertThat(response.getStatus()).isEqualTo(503);
        assertThat(response.getContentAsString())
                .contains("no room left to write")
                .contains("Nothing of this was written");
        when(sql.sql(anyString())).thenThrow(new DataAccessResourceFailureException("still full"));
        assertThat(wrote.health().getStatus()).isEqualTo(Status.DOWN);
        doReturn(mock(JdbcClient.StatementSpec.class, RETURNS_DEEP_STUBS))
                .when(sql)
                .sql(anyString());
        assertThat(wrote.health().getStatus()).isEqualTo(Status.UP);
    }

    /**
     * A connection that breaks in mid-deed cannot be rolled back either; whatever else breaks has a page of its own, never the
     * server's.
     */
    @Test
    void everyExceptionHasAPage() throws Exception {
        for (Exception thrown : List.of(
                new TransactionSystemException("Unable to rollback", new SQLException("gone", "08006")),
                new IllegalStateException(new SQLException("Connection is closed")))) {
            assertThat(answered(thrown)).contains("The database is away for a moment");
        }
        assertThat(answered(new IllegalStateException("a mistake"))).contains("our mistake, not yours");
    }

    private static String answered(Exception thrown) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        LastWrite wrote = new LastWrite(mock(JdbcClient.class), Clock.systemUTC());
        new DatabaseAwayFilter(wrote)
                .doFilter(new MockHttpServletRequest("GET", "/shelf"), response, (request, answer) -> {
                    throw new ServletException(thrown);
                });
        return response.getContentAsString();
    }

    @Test
    void anEmptyPoolIsADatabaseAway() {
        assertThat(DatabaseAwayFilter.isDatabaseAway(new RuntimeException(new SQLTransientConnectionException("pool"))))
                .isTrue();
        assertThat(DatabaseAwayFilter.isDatabaseAway(new RuntimeException(new SQLException("no state"))))
                .isFalse();
        assertThat(DatabaseAwayFilter.isDatabaseAway(null)).isFalse();
    }
}
