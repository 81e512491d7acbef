package app.velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DatabaseAwayFilterTest {

    @ParameterizedTest
    @CsvSource({"08006,true", "08001,true", "57P01,true", "57P03,true", "23505,false", "40001,false"})
    void lostConnectionsAreToldFromRefusedStatements(String state, boolean away) {
        Exception wrapped = new IllegalStateException("outer", new RuntimeException(new SQLException("inner", state)));
        assertThat(DatabaseAwayFilter.isDatabaseAway(wrapped)).isEqualTo(away);
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
