package org.umberloom.app.account;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AccountMapper {
    @Select("select id, email, name, password_hash, role from account where email = #{email}")
    Optional<Account> byEmail(String email);

    @Select("select count(*) from account")
    int count();

    @Insert("insert into account (email, name, password_hash, role) values (#{email}, #{name}, #{passwordHash}, #{role})")
    void add(String email, String name, String passwordHash, String role);
}
