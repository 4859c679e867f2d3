using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    public partial class NearAlike : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "near_alike", table: "floras", type: "jsonb", nullable: false, defaultValueSql: "'{}'");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "near_alike", table: "floras");
        }
    }
}
